import { sayFelt } from '../../core/felt/places.ts';
import { listFeltTrends } from '../../core/progress/feltTrend.ts';
import type { Session } from '../../core/sessions/session.ts';
import { capital } from '../../core/units/capital.ts';
import { namePose, nameSide } from '../shared/poseWords.ts';
import { Table } from '../shared/ui/Table.tsx';
import { TableHead } from '../shared/ui/TableHead.tsx';
import { writeDate } from '../shared/writeValue.ts';
import { feltTrendView as say } from './words.ts';

/** Where each pose was felt, over the sessions; nothing until something was noted. */
export function FeltTrendView({ sessions }: { sessions: readonly Session[] }) {
  const trends = listFeltTrends(sessions);
  if (trends.length === 0) return null;
  return (
    <section data-testid="felt-trend">
      <h2>{say.title}</h2>
      <Table look="list">
        <TableHead columns={say.columns} />
        {trends.map((trend) => (
          <tbody key={`${trend.pose} ${trend.side}`}>
            {trend.places.map(({ place, how, times, last }, i) => (
              <tr key={`${how} ${place}`}>
                {i === 0 && (
                  <th scope="rowgroup" rowSpan={trend.places.length} className="font-normal">
                    {namePose(trend.pose)}, {nameSide(trend.pose, trend.side)}
                  </th>
                )}
                <td>{capital(sayFelt([{ place, how }]))}</td>
                <td>{say.times(times, trend.sessions)}</td>
                <td>{writeDate(last)}</td>
              </tr>
            ))}
          </tbody>
        ))}
      </Table>
    </section>
  );
}
