import {
  sayGentlerLeftOut,
  sayGentlerSwap,
  type GentlerDay,
} from '../../core/sessions/gentlerDay.ts';
import { WordButton } from '../shared/ui/Button.tsx';
import { gentlerPanel as say } from './words.ts';

interface GentlerPanelProps {
  /** null = on its way, or the usual plan is taken. */
  gentler: Omit<GentlerDay, 'plan'> | null;
  isTaken: boolean;
  onTake: (isTaken: boolean) => void;
}

/** A day with less: what takes the place of what, and the usual plan one press away. */
export function GentlerPanel({ gentler, isTaken, onTake }: GentlerPanelProps) {
  return (
    <section data-testid="gentler" className="my-3 rounded-md bg-mist px-[0.9rem] py-2">
      <h3 className="m-0 font-serif text-[1.1rem] font-bold">{say.title}</h3>
      <p className="m-0">{isTaken ? say.why : say.usualTaken}</p>
      {gentler !== null && isTaken && (
        <ul className="list-disc pl-[1.1rem]">
          {gentler.swaps.map((each) => (
            <li key={each.from}>{sayGentlerSwap(each)}</li>
          ))}
          {gentler.leftOut.map((each) => (
            <li key={each.pose}>{sayGentlerLeftOut(each)}</li>
          ))}
        </ul>
      )}
      <WordButton
        onClick={() => {
          onTake(!isTaken);
        }}
      >
        {isTaken ? say.usual : say.gentle}
      </WordButton>
    </section>
  );
}
