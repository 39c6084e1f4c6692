import { Opening } from '../shared/Opening.tsx';
import { CupboardPanel } from './CupboardPanel.tsx';
import { HabitsPanel } from './HabitsPanel.tsx';
import { HousePanel } from './HousePanel.tsx';
import { StudioFile } from './StudioFile.tsx';
import { useStudio } from './useStudio.ts';
import { studioView as say } from './words.ts';

/** The cupboard, the house rules and the habits of a studio, and its file. */
export function StudioView() {
  const studio = useStudio();
  if (studio === undefined) return <Opening />;
  return (
    <>
      <h1>{say.studio}</h1>
      <p>{say.intro}</p>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-16 gap-y-6 max-tablet:grid-cols-[minmax(0,1fr)]">
        <section>
          <h2>{say.cupboard}</h2>
          <CupboardPanel studio={studio} />
          <h2>{say.habits}</h2>
          <HabitsPanel studio={studio} />
          <h2>{say.file}</h2>
          <StudioFile studio={studio} />
        </section>
        <section>
          <h2>{say.houseRules}</h2>
          <HousePanel studio={studio} />
        </section>
      </div>
    </>
  );
}
