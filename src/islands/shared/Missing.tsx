import { Opening } from './Opening.tsx';

/** Said while a record loads, or when a link leads to nobody. */
export function Missing({ loading }: { loading: boolean }) {
  if (loading) return <Opening />;
  return (
    <div className="empty">
      <h1>Nobody here</h1>
      <p>This link leads to nobody in this browser.</p>
      <a className="button" href="/">
        Go to people
      </a>
    </div>
  );
}
