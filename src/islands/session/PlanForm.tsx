import { lazy, Suspense } from 'react';
import type { HouseRules } from '../../core/rules/houseRules.ts';
import type { SessionAsked } from '../../core/sessions/planSession.ts';
import { FITTING_LEVEL, USUAL_LEVEL } from '../../core/poses/level.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { EVERY_POSE, namePose } from '../shared/poseWords.ts';
import { OrderButtons } from '../shared/ui/OrderButtons.tsx';
import { OrderList } from '../shared/ui/OrderList.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { planForm as say } from './words.ts';

const DateTimeField = lazy(async () => ({
  default: (await import('../shared/ui/DateTimeField.tsx')).DateTimeField,
}));

interface PlanFormProps {
  asked: SessionAsked;
  heldAt: string | null;
  onHeldAt: (heldAt: string | null) => void;
  onChange: (change: Partial<SessionAsked>) => void;
}

const ORDERS: readonly (readonly [HouseRules['sides'], string])[] = [
  ['harder-easier-harder', say.harderEasierHarder],
  ['equal', say.bothSidesEqually],
  ['alternate', say.alternateSidesRoundBy],
  ['one-side-first', say.everyPoseOneSide],
];

/** A whole number of a field; null = nothing that counts. */
function readCount(text: string): number | null {
  const count = Number(text);
  return Number.isInteger(count) && count >= 1 && count <= 200 ? count : null;
}

const toLocal = (iso: string): string => {
  const at = new Date(iso);
  const shifted = new Date(at.getTime() - at.getTimezoneOffset() * 60_000);
  return shifted.toISOString().slice(0, 16);
};

/** Which poses, in which order, how long. */
export function PlanForm({ asked, heldAt, onHeldAt, onChange }: PlanFormProps) {
  const { poses } = asked;
  const put = (list: SessionAsked['poses']): void => {
    onChange({ poses: list });
  };
  const move = (from: number, to: number): void => {
    const list = poses.filter((_each, i) => i !== from);
    put([...list.slice(0, to), poses[from]!, ...list.slice(to)]);
  };
  const unused = EVERY_POSE.filter(({ id }) => !poses.some(({ pose }) => pose === id));
  return (
    <div>
      <OrderList
        className="mb-3"
        rowClassName="grid min-h-[46px] grid-cols-[auto_minmax(0,1fr)_14rem_auto] items-center gap-3 border-b border-hair py-[2px] max-phone:grid-cols-[auto_minmax(0,1fr)_auto] [&_select]:w-full max-phone:[&>select]:col-span-full max-phone:[&>select]:row-start-2 max-phone:[&>select]:max-w-full max-phone:[&>select]:justify-self-start"
        data-testid="chosen-poses"
        items={poses.map(({ pose, level }) => ({ id: pose, name: namePose(pose), level }))}
        onMove={move}
      >
        {({ id: pose, name, level }, i) => {
          const levels = findPose(pose)?.levels ?? [];
          return (
            <>
              <span data-testid="chosen-pose">{name}</span>
              {levels.length > 0 && (
                <select
                  aria-label={say.level(name)}
                  value={level ?? USUAL_LEVEL}
                  onChange={(event) => {
                    const { value } = event.target;
                    put(poses.map((each, j) => (j === i ? { pose, level: value } : each)));
                  }}
                >
                  <option value={FITTING_LEVEL}>{say.levelFits}</option>
                  {levels.map((each) => (
                    <option key={each.id} value={each.id}>
                      {each.name}
                    </option>
                  ))}
                </select>
              )}
              <span className="-col-start-2 -col-end-1 whitespace-nowrap">
                <OrderButtons
                  at={i}
                  count={poses.length}
                  words={{
                    earlier: say.earlier(name),
                    later: say.later(name),
                    leaveOut: say.leaveOut(name),
                  }}
                  onMove={(to) => {
                    move(i, to);
                  }}
                  onLeaveOut={() => {
                    put(poses.filter((_each, j) => j !== i));
                  }}
                />
              </span>
            </>
          );
        }}
      </OrderList>
      <div className="mb-4 flex flex-wrap gap-x-5 gap-y-2 [&_input]:w-auto [&_select]:w-auto">
        <SelectField
          label={say.addPose}
          value=""
          options={[['', 'choose one'], ...unused.map(({ id, name }) => [id, name] as const)]}
          onChange={(pose) => {
            if (pose !== '') put([...poses, { pose, level: FITTING_LEVEL }]);
          }}
        />
        <SelectField
          label={say.orderSides}
          value={asked.order}
          options={ORDERS}
          onChange={(value) => {
            onChange({ order: value as HouseRules['sides'] });
          }}
        />
        <Field className="[&_input]:w-38!" label={say.breaths}>
          <input
            inputMode="numeric"
            placeholder={say.asPoseSays}
            defaultValue={asked.breaths ?? ''}
            onChange={(event) => {
              onChange({ breaths: readCount(event.target.value) });
            }}
          />
        </Field>
        <Field className="[&_input]:w-38!" label={say.roundsSide}>
          <input
            inputMode="numeric"
            defaultValue={asked.rounds}
            onChange={(event) => {
              onChange({ rounds: Math.min(10, readCount(event.target.value) ?? 1) });
            }}
          />
        </Field>
        <Suspense>
          <DateTimeField
            label={say.heldEarlier}
            value={heldAt === null ? '' : toLocal(heldAt)}
            onChange={(value) => {
              const at = new Date(value);
              const isPast = value !== '' && at.getTime() <= Date.now();
              onHeldAt(isPast ? at.toISOString() : null);
            }}
          />
        </Suspense>
      </div>
    </div>
  );
}
