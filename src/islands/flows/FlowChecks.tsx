import type { FlowEdit } from '../../core/sequence/editFlow.ts';
import type { FlowPlan } from '../../core/sequence/flowChecks.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { flowChecks as say } from './words.ts';

interface FlowChecksProps {
  plan: FlowPlan;
  edit: (edit: FlowEdit) => void;
}

/** What a teacher may want to look at again, each with what would change it. */
export function FlowChecks({ plan: { checks }, edit }: FlowChecksProps) {
  return (
    <section data-testid="checks">
      <h2>{say.title}</h2>
      {checks.length === 0 ? (
        <p>{say.none}</p>
      ) : (
        <ul>
          {checks.map(({ kind, index, found, fix, edit: change }) => (
            <li key={`${kind} ${String(index)} ${found}`} className="mb-2">
              {found} <span className="text-faint">{fix}</span>{' '}
              {change !== null && (
                <WordButton
                  onClick={() => {
                    edit(change);
                  }}
                >
                  {say.doIt}
                </WordButton>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
