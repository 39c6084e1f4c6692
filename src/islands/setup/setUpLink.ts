import type { Side } from '../../core/measures/protocol.ts';
import type { HouseRules } from '../../core/rules/houseRules.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { MovedSetUp } from './useMoved.ts';

/** What of a set-up stands in the page's link. */
export interface SetUpLink {
  readonly side?: Side;
  readonly pose?: string;
  /** A school that is looked at without being chosen, as `rule option`; null = none. */
  readonly school?: string | null;
  /** One of the pose's levels, or `auto` for the one that fits. */
  readonly level?: string;
  readonly depth?: HouseRules['depth'];
  readonly provisional?: boolean;
  /** The step that the large step view shows; null = it is closed. */
  readonly largeStep?: number | null;
}

/** What is drawn, what it was moved from, and how it is moved on. */
export interface ShownSetUp {
  /** null = there is nothing to draw yet. */
  readonly setUp: SetUp | null;
  readonly planned: SetUp | null;
  readonly moved: MovedSetUp;
}
