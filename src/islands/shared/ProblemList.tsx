import type { Problem } from '../../core/problems/problem.ts';

/** Problems as they are said to a person: what is wrong, and what to do. */
export function ProblemList({ problems }: { problems: readonly Problem[] }) {
  if (problems.length === 0) return null;
  return (
    <ul className="grid gap-[0.35rem]">
      {problems.map((each, i) => (
        <li key={`${each.code} ${each.path} ${String(i)}`}>
          <strong className="font-semibold" data-testid="problem-message">
            {each.message}
          </strong>{' '}
          <span className="text-faint">{each.hint}</span>
        </li>
      ))}
    </ul>
  );
}
