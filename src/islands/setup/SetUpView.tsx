import { useEffect } from 'react';
import { otherSide, type Side } from '../../core/measures/protocol.ts';
import { findPose, POSES } from '../../core/poses/catalogue/index.ts';
import { hasSides } from '../../core/poses/hasSides.ts';
import { FITTING_LEVEL } from '../../core/poses/level.ts';
import { findLyingPose } from '../../core/poses/lying/index.ts';
import type { HouseRules } from '../../core/rules/houseRules.ts';
import { Missing } from '../shared/Missing.tsx';
import { PersonHeader } from '../shared/PersonHeader.tsx';
import { useQuery } from '../shared/useQuery.ts';
import { useRecordWithHeld } from '../shared/useRecord.ts';
import type { SetUpLink } from './setUpLink.ts';
import { PlannedSetUp } from './PlannedSetUp.tsx';
import { PoseShelf } from './PoseShelf.tsx';
import { SHELF_ORDER } from './shelves.ts';

/** What was asked, as changes to the page's query. */
const toQuery = (asked: SetUpLink): Record<string, string | null> => ({
  ...(asked.pose === undefined ? {} : { pose: asked.pose, level: null, school: null }),
  ...(asked.school === undefined ? {} : { school: asked.school }),
  ...(asked.side === undefined ? {} : { side: asked.side }),
  ...(asked.level === undefined
    ? {}
    : { level: asked.level === FITTING_LEVEL ? null : asked.level }),
  ...(asked.depth === undefined ? {} : { depth: asked.depth === 'deepest' ? 'deepest' : null }),
  ...(asked.largeStep === undefined
    ? {}
    : { step: asked.largeStep === null ? null : String(asked.largeStep) }),
  ...(asked.provisional === undefined ? {} : { provisional: asked.provisional ? 'yes' : null }),
});

/** The set-up sheet: pose, side, the measured drawing, what is asked and what is left. */
export function SetUpView() {
  const [query, setQuery] = useQuery();
  const record = useRecordWithHeld(query.get('id'));
  const lying = findLyingPose(query.get('pose') ?? '');
  const pose = lying ?? findPose(query.get('pose') ?? '') ?? POSES[0]!;
  const levels = 'levels' in pose ? pose.levels : [];
  const level = levels.find((each) => each.id === query.get('level'))?.id ?? FITTING_LEVEL;
  const side: Side = query.get('side') === 'left' ? 'left' : 'right';
  const isDeepest = query.get('depth') === 'deepest';
  const isProvisional = query.get('provisional') === 'yes';
  const stepText = query.get('step');
  const largeStep = stepText !== null && /^\d+$/.test(stepText) ? Number(stepText) : null;
  const ask = (asked: SetUpLink): void => {
    setQuery(toQuery(asked));
  };
  const choose = (id: string): void => {
    ask({ pose: id });
  };
  const step = (by: number): void => {
    const count = SHELF_ORDER.length;
    choose(SHELF_ORDER[(SHELF_ORDER.indexOf(pose.id) + by + count) % count]!);
  };
  useShortcuts({
    s: () => {
      if (hasSides(pose.id)) ask({ side: otherSide(side) });
    },
    d: () => {
      ask({ depth: isDeepest ? 'recommended' : 'deepest' });
    },
    n: () => {
      step(1);
    },
    p: () => {
      step(-1);
    },
  });
  if (record === undefined || record === null) return <Missing loading={record === undefined} />;
  const rules: Partial<HouseRules> = {
    depth: isDeepest ? 'deepest' : 'recommended',
    ...(isProvisional ? { provisional: true } : {}),
  };
  return (
    <>
      <PersonHeader person={record.person} here="set-up" />
      <div className="grid grid-cols-[11.5rem_minmax(0,1fr)_24rem] gap-6 max-desk:grid-cols-[11rem_minmax(0,1fr)] max-phone:grid-cols-[minmax(0,1fr)] print:grid-cols-[minmax(0,1fr)]">
        <PoseShelf record={record} poseId={pose.id} side={side} rules={rules} onChoose={choose} />
        <PlannedSetUp
          record={record}
          pose={pose}
          side={side}
          rules={rules}
          school={query.get('school')}
          level={level}
          largeStep={largeStep}
          onAsk={ask}
        />
      </div>
    </>
  );
}

/** Single keys, off while something is typed; a slider takes none of them. */
function useShortcuts(actions: Readonly<Record<string, () => void>>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const { target } = event;
      const typing =
        target instanceof HTMLElement &&
        target.closest('input:not([type="range"]), textarea, select') !== null;
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
      actions[event.key]?.();
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, [actions]);
}
