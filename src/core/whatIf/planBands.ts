import { toTenths } from '../units/rounding.ts';
import type { Side } from '../measures/protocol.ts';
import type { PlanningContext } from '../planning/planningContext.ts';
import type { Result } from '../problems/problem.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { ignoreProgress } from './progress.ts';
import { calcMonteCarlo, makeSeeded } from './monteCarlo.ts';
import { planPose } from '../setup/planSetUp.ts';
import type { SettingId } from '../setup/settingKinds.ts';

/** Made-up repeats of the measuring. */
export const DRAWS = 2000;
/** Where one joint limits in at least this share of the draws, ± gives the whole uncertainty. */
export const ONE_JOINT_SHARE = 0.95;

export interface SettingBand {
  readonly id: SettingId | 'depth';
  readonly unit: 'cm' | 'deg';
  /** 5th and 95th of a hundred repeats. */
  readonly low: number;
  readonly high: number;
}

export interface Bands {
  readonly draws: number;
  /** Draws in which the pose could be held at all. */
  readonly held: number;
  /** Share of those in which the most frequent joint was the limiting one. */
  readonly oneJointShare: number;
  readonly settings: readonly SettingBand[];
}

/**
 * Between which values each number of a set-up would fall if the measuring were repeated
 * many times. Slow: each repeat is a solve. Arguments as planSetUp.ts.
 *
 * @param context the person, see {@link PlanningContext}
 * @param poseId one of the catalogue
 * @param side left or right
 * @param rules house rules that differ from the defaults
 * @param level one of the pose's levels; null = the pose as it is usually done
 * @param draws how many
 * @param onProgress called every 50 draws
 * @returns null when nothing was solved, which the set-up itself explains
 */
export function planBands(
  context: PlanningContext,
  poseId: string,
  side: Side,
  rules: Partial<HouseRules> = {},
  level: string | null = null,
  draws = DRAWS,
  onProgress = ignoreProgress,
): Result<Bands | null> {
  const planned = planPose(context, poseId, side, rules, level);
  if (planned.kind === 'problems') return { ok: false, problems: planned.problems };
  if (planned.kind === 'stopped' || planned.setUp.status === 'failed') {
    return { ok: true, value: null };
  }
  const { held, oneJointShare, bands } = calcMonteCarlo(
    planned,
    draws,
    makeSeeded(),
    true,
    onProgress,
  );
  const { settings, depth } = planned.setUp;
  const units = new Map<SettingId | 'depth', 'cm' | 'deg'>(
    settings.map(({ id, unit }) => [id, unit]),
  );
  if (depth !== null) units.set('depth', depth.unit);
  return {
    ok: true,
    value: {
      draws,
      held,
      oneJointShare,
      settings: [...bands].map(([id, { low, high }]) => ({
        id,
        unit: units.get(id) ?? 'cm',
        low: toTenths(low),
        high: toTenths(high),
      })),
    },
  };
}
