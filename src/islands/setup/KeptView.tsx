import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { getProtocol } from '../../core/measures/protocols/index.ts';
import { keepSetUp, type KeptCheck, type KeptSetUp } from '../../core/whatIf/keptSetUp.ts';
import { isMoved } from '../../core/whatIf/planMoved.ts';
import type { SetUp } from '../../core/setup/setUp.ts';
import type { AsFound } from '../../core/rules/houseRules.ts';
import type { LengthUnit } from '../../core/units/readQuantity.ts';
import { keepForPerson, listSetUps, removeSetUp } from '../../data/setUps.ts';
import { checkKeptInWorker } from '../../workers/setUpClient.ts';
import { useAnswer } from '../shared/useAnswer.ts';
import { useUnit } from '../shared/useRecord.ts';
import { writeDate } from '../shared/writeValue.ts';
import { sayNumber, writeNumber } from './sayNumber.ts';
import type { PlanRequest } from './usePlanned.ts';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { useWrite } from '../shared/useWrite.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { Table } from '../shared/ui/Table.tsx';
import { keptView as say } from './words.ts';

interface KeptViewProps {
  request: PlanRequest;
  /** What is drawn now. */
  setUp: SetUp;
  moved: AsFound;
  onShow: (kept: KeptSetUp) => void;
}

/** Set-ups that were settled on for this pose, each beside what the readings of today would give. */
export function KeptView({ request, setUp, moved, onShow }: KeptViewProps) {
  const unit = useUnit();
  const { record, poseId } = request;
  const personId = record.person.id;
  const all = useLiveQuery(() => listSetUps(personId), [personId]);
  const [removed, setRemoved] = useState<KeptSetUp | null>(null);
  const { write, told } = useWrite();
  const kept = (all ?? []).filter((each) => each.pose === poseId);
  const key =
    kept.length === 0 ? null : JSON.stringify(['kept', record.revision, kept.map(({ id }) => id)]);
  const checks = useAnswer(key, () => checkKeptInWorker(record, kept));
  const keep = (reason: string): void => {
    const asked = {
      id: crypto.randomUUID(),
      keptAt: new Date().toISOString(),
      rules: request.rules,
      moved: isMoved(moved) ? moved : null,
      reason,
    };
    const kept = keepSetUp(setUp, asked);
    write(() => keepForPerson(personId, kept), kept);
  };
  return (
    <>
      <form
        className="mb-4 flex flex-wrap items-end gap-x-4 *:[button]:mb-[0.7rem] *:[label]:flex-[1_1_14rem]"
        onSubmit={(event) => {
          event.preventDefault();
          const reason = new FormData(event.currentTarget).get('reason');
          keep(typeof reason === 'string' ? reason.trim() : '');
          event.currentTarget.reset();
        }}
      >
        <Field label={<>{say.keepSetUpBecause(isMoved(moved) ? say.withWhatMoved : '')}</>}>
          <input name="reason" autoComplete="off" />
        </Field>
        <Button type="submit" isPlain>
          {say.keep}
        </Button>
      </form>
      {told}
      {removed !== null && (
        <p className="rounded bg-mist px-4 py-[0.3rem]" role="status">
          {say.removed}
          <WordButton
            onClick={() => {
              write(async () => {
                await keepForPerson(personId, removed);
                setRemoved(null);
              });
            }}
          >
            {say.undo}
          </WordButton>
        </p>
      )}
      <ul className="*:border-t *:border-hair *:pt-[0.3rem]" data-testid="kept-list">
        {kept.map((each) => (
          <KeptItem
            key={each.id}
            kept={each}
            check={
              checks?.ok === true ? (checks.value.find(({ id }) => id === each.id) ?? null) : null
            }
            unit={unit}
            onShow={onShow}
            onRemove={() => {
              write(async () => {
                setRemoved(await removeSetUp(personId, each.id));
              });
            }}
          />
        ))}
      </ul>
    </>
  );
}

interface KeptItemProps {
  kept: KeptSetUp;
  check: KeptCheck | null;
  unit: LengthUnit;
  onShow: (kept: KeptSetUp) => void;
  onRemove: () => void;
}

function KeptItem({ kept, check, unit, onShow, onRemove }: KeptItemProps) {
  const { side, level, reason, keptAt, moved, settings } = kept;
  const stance = settings.find((each) => each.id === 'stance-length') ?? settings[0];
  const isOld = check !== null && check.changes.length > 0;
  return (
    <li>
      <p>
        {say.side(
          writeDate(keptAt),
          side,
          level === null ? '' : `, ${level.replaceAll('-', ' ')}`,
          moved === null ? '' : say.movedByHand,
          stance === undefined
            ? ''
            : `: ${sayNumber(stance.id)} ${writeNumber(stance.value, stance.unit, unit)}`,
          reason === '' ? '.' : say.because(reason),
        )}
        <WordButton
          onClick={() => {
            onShow(kept);
          }}
        >
          {say.show}
        </WordButton>{' '}
        <WordButton onClick={onRemove}>{say.remove}</WordButton>
      </p>
      {isOld && check.hasOtherRules && <p className="text-faint">{say.rulesChangedTheseNumbers}</p>}
      {isOld && (
        <>
          {(!check.hasOtherRules || check.newer.length > 0) && (
            <p className="font-semibold">{say.outDate(sayWhy(check))}</p>
          )}
          <Table look="values">
            <caption className="sr-only">{say.whatDiffersToday}</caption>
            <TableHead columns={['number', 'kept', 'today']} />
            <tbody>
              {check.changes.map(({ id, unit: own, was, now }) => (
                <tr key={id}>
                  <th scope="row">{sayNumber(id)}</th>
                  <td>{writeNumber(was, own, unit)}</td>
                  <td>{now === null ? '–' : writeNumber(now, own, unit)}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </>
      )}
    </li>
  );
}

function sayWhy({ newer, now }: KeptCheck): string {
  if (now === null) return say.thereNoSetUp;
  const names = [...new Set(newer.map(({ measure }) => getProtocol(measure).name.toLowerCase()))];
  return names.length === 0
    ? say.cautionsCorrectedReadingsRules
    : say.measuredAgainSince(names.join(', '));
}
