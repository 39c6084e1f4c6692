import { Opening } from './Opening.tsx';
import { ButtonLink } from './ui/Button.tsx';

/** Said while a record loads, or when a link leads to nobody. */
export function Missing({ loading }: { loading: boolean }) {
  if (loading) return <Opening />;
  return (
    <div className="max-w-160 py-4">
      <h1>Nobody here</h1>
      <p>This link leads to nobody in this browser.</p>
      <ButtonLink href="/">Go to people</ButtonLink>
    </div>
  );
}
