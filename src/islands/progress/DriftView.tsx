import { useMemo, useState } from 'react';
import { listDrifts, sayDrift, type Drift, type DriftPoint } from '../../core/progress/drift.ts';
import type { Session } from '../../core/sessions/session.ts';
import { findPose } from '../../core/poses/catalogue/index.ts';
import { findLevelPath } from '../../core/progress/levelPath.ts';
import { nameLevel, namePose, nameSide } from '../shared/poseWords.ts';
import { useUnit } from '../shared/useRecord.ts';
import { writeDate, writeValue } from '../shared/writeValue.ts';
import { LineChart, type ChartLine } from '../shared/LineChart.tsx';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { driftView as say } from './words.ts';

const keyOf = ({ pose, side }: Drift): string => `${pose} ${side}`;

const toPoints = (points: readonly DriftPoint[], key: 'stanceCm' | 'handCm') =>
  points.flatMap((each) => {
    const value = each[key];
    return value === null ? [] : [{ x: Date.parse(each.at), y: value }];
  });

/** How the set-up of one pose has moved over the sessions: stance, hand, depth and level. */
export function DriftView({ sessions }: { sessions: readonly Session[] }) {
  const unit = useUnit();
  const [key, setKey] = useState<string | null>(null);
  const drifts = useMemo(() => listDrifts(sessions), [sessions]);
  const drift = drifts.find((each) => keyOf(each) === key) ?? drifts[0] ?? null;
  const lines = useMemo((): ChartLine[] => {
    if (drift === null) return [];
    const stance = toPoints(drift.points, 'stanceCm');
    const hand = toPoints(drift.points, 'handCm');
    return [
      ...(stance.length > 0 ? [{ name: say.stanceLength, points: stance }] : []),
      ...(hand.length > 0 ? [{ name: say.handHeight, points: hand, isSecond: true }] : []),
    ];
  }, [drift]);
  const path = useMemo(() => (drift === null ? null : findLevelPath(drift)), [drift]);
  const pathLines = useMemo(
    (): ChartLine[] =>
      path === null
        ? []
        : [
            {
              name: say.version,
              points: path.steps.map(({ at, step }) => ({ x: Date.parse(at), y: step })),
            },
          ],
    [path],
  );
  if (drift === null) return null;
  const pose = findPose(drift.pose);
  const sayLevel = (level: string | null): string =>
    pose === null || pose.levels.length === 0 ? '' : nameLevel(pose, level);
  const label = say.setUpsOver(
    namePose(drift.pose),
    nameSide(drift.pose, drift.side),
    drift.points.length,
  );
  const write = (value: number | null, own: 'cm' | 'deg'): string =>
    value === null ? '' : writeValue(value, own, unit);
  return (
    <section>
      <h2>{say.setUpsOverSessions}</h2>
      <SelectField
        label={say.poseSide}
        value={keyOf(drift)}
        options={drifts.map(
          (each) =>
            [keyOf(each), `${namePose(each.pose)}, ${nameSide(each.pose, each.side)}`] as const,
        )}
        onChange={setKey}
      />
      <p className="mb-1 min-h-[3em]">
        <strong>{sayDrift(drift)}</strong>
      </p>
      {lines.length > 0 && (
        <>
          <LineChart lines={lines} bands={NO_BANDS} marks={NO_MARKS} unit=" cm" label={label} />
          <p className="text-faint">{say.circlesStanceLengthSquares}</p>
        </>
      )}
      {path !== null && (
        <>
          <h3>{say.versionsOverSessions}</h3>
          <LineChart
            lines={pathLines}
            bands={NO_BANDS}
            marks={NO_MARKS}
            unit=""
            steps={path.ladder}
            label={say.versionsHeld(
              namePose(drift.pose),
              path.steps.map(({ at, step }) => `${writeDate(at)} ${path.ladder[step] ?? ''}`),
            )}
          />
        </>
      )}
      <div className="overflow-x-auto">
        <Table look="list" data-testid="holds">
          <caption className="sr-only">{label}</caption>
          <TableHead columns={['Session', 'Stance length', 'Hand height', 'Depth', 'Version']} />
          <tbody>
            {drift.points.map(({ at, stanceCm, handCm, depth, level, hasOtherRules }) => (
              <tr key={at}>
                <th scope="row">
                  {writeDate(at)}
                  {hasOtherRules && say.rulesChanged}
                </th>
                <td>{write(stanceCm, 'cm')}</td>
                <td>{write(handCm, 'cm')}</td>
                <td>{write(depth, 'deg')}</td>
                <td>{sayLevel(level)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </div>
    </section>
  );
}

const NO_BANDS: readonly never[] = [];
const NO_MARKS: readonly never[] = [];
