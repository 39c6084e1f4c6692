import type { AnswerChange, Person } from '../../core/person/person.ts';
import { nameField } from '../shared/fieldWords.ts';
import { writeDate } from '../shared/writeValue.ts';
import { historyList as say } from './words.ts';

const quote = (text: string): string => (text === '' ? 'nothing' : `“${text}”`);

const sayAnswerChange = ({ field, from, to, isEarlier }: AnswerChange): string =>
  isEarlier === true
    ? say.beforeFileBroughtLater(nameField(field), quote(to))
    : `${nameField(field)}: ${quote(from)} → ${quote(to)}`;

/** Older files do not say when something was answered. */
const sayDate = (at: string): string => (Date.parse(at) === 0 ? 'earlier' : writeDate(at));

/** What was answered when, newest first. */
export function HistoryList({ person }: { person: Person }) {
  const own = person.history.filter(({ isEarlier }) => isEarlier !== true);
  // An earlier answer that a change already shows, as what came of it or what it replaced.
  const isTold = ({ at, field, to }: AnswerChange): boolean =>
    own.some((each) => each.field === field && (each.at === at || each.from === to));
  const changes = person.history
    .filter((each) => each.isEarlier !== true || !isTold(each))
    .toReversed();
  if (changes.length === 0) return null;
  return (
    <details className="[&_li]:border-b [&_li]:border-hair [&_li]:py-[0.15rem]">
      <summary>
        {say.theseAnswers(changes.length === 1 ? say.oneChange : say.changes(changes.length))}
      </summary>
      <ul>
        {changes.map((change, i) => (
          <li key={`${change.at} ${change.field} ${String(i)}`}>
            <span className="text-faint">{sayDate(change.at)}</span> {sayAnswerChange(change)}
          </li>
        ))}
      </ul>
    </details>
  );
}
