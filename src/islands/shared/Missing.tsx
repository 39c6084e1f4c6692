import { Opening } from './Opening.tsx';
import { ButtonLink } from './ui/Button.tsx';
import { missing as say } from './words.ts';

/** Said while a record loads, or when a link leads to nobody. */
export function Missing({ loading }: { loading: boolean }) {
  if (loading) return <Opening />;
  return (
    <div className="max-w-160 py-4">
      <h1>{say.personNotFound}</h1>
      <p>{say.nobodyBrowserHasLink}</p>
      <ButtonLink href="/">{say.goPeople}</ButtonLink>
    </div>
  );
}
