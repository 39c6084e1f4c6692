import type { Problem } from '../../core/problems/problem.ts';

/** Problems as they are said to a person: what is wrong, and what to do. */
export function ProblemList({ problems }: { problems: readonly Problem[] }) {
  if (problems.length === 0) return null;
  return (
    <ul className="problems">
      {problems.map((each, i) => (
        <li key={`${each.code} ${each.path} ${String(i)}`}>
          <span className="problem-message">{each.message}</span>{' '}
          <span className="quiet">{each.hint}</span>
        </li>
      ))}
    </ul>
  );
}
