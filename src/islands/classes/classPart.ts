import type { YogaClass } from '../../core/classes/yogaClass.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import type { ClassState } from './useClassMembers.ts';
import type { ClassPlan } from './useClassPlan.ts';
import type { Shared } from './useShared.ts';

/** What every part of the class view is given. */
export interface ClassPartProps {
  readonly yogaClass: YogaClass;
  readonly others: readonly YogaClass[];
  readonly state: ClassState;
  readonly plan: ClassPlan;
  readonly shared: Shared;
  /** The pose on screen; null = the class has none. */
  readonly pose: string | null;
  readonly unit: LengthUnit;
  readonly onPose: (pose: string) => void;
  readonly onPart: (part: string) => void;
}
