import { toTenths } from '../../core/units/rounding.ts';
import type { PoseFinding } from '../../core/poseCheck/checkPose.ts';
import { useUnit } from '../shared/useRecord.ts';
import { writeValue } from '../shared/words.ts';
import { TableHead } from '../shared/ui/TableHead.tsx';

/** What a picture shows beside its plan; what differs by more than the error comes first. */
export function Findings({ findings }: { findings: readonly PoseFinding[] | null }) {
  const unit = useUnit();
  if (findings === null) return <p>The comparison stands here once every mark is placed.</p>;
  const sorted = findings.toSorted((a, b) => Number(a.isAsPlanned) - Number(b.isAsPlanned));
  const different = findings.filter((each) => !each.isAsPlanned).length;
  return (
    <div role="status">
      <h2>
        {different === 0
          ? 'As planned'
          : different === 1
            ? 'One thing differs'
            : `${String(different)} things differ`}
      </h2>
      <table
        className="mb-4 w-full border-collapse [&_td]:border-b [&_td]:border-hair [&_td]:py-1 [&_td]:pr-3 [&_td]:text-left [&_td]:align-baseline [&_th]:border-b [&_th]:border-hair [&_th]:py-1 [&_th]:pr-3 [&_th]:text-left [&_th]:align-baseline"
        data-testid="holds"
      >
        <caption className="sr-only">Photo beside plan</caption>
        <TableHead columns={['What', 'Planned', 'Seen', 'Error', 'So it']} />
        <tbody>
          {sorted.map(({ id, name, unit: own, planned, seen, error, isAsPlanned, words }) => (
            <tr key={id}>
              <th scope="row">{name}</th>
              <td>{writeValue(toTenths(planned), own, unit)}</td>
              <td>{writeValue(toTenths(seen), own, unit)}</td>
              <td>± {writeValue(toTenths(error), own, unit)}</td>
              <td>{isAsPlanned ? words : <strong>{words}</strong>}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-faint">
        A difference inside the error is no difference. The error is that of placing the marks, of a
        camera turned by up to 10°, and 5° or 3 cm for what skin and cloth hide.
      </p>
    </div>
  );
}
