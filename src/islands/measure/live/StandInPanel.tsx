import { useState } from 'react';
import { moveStandIn } from './sources.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { Slider } from '../../shared/ui/Slider.tsx';
import { WordButton } from '../../shared/ui/Button.tsx';
import { standInPanel as say } from '../words.ts';

/** The hand that leads the limb of the simulated inclinometer, and its faults. */
export function StandInPanel() {
  const [deg, setDeg] = useState(0);
  const [isPoor, setIsPoor] = useState(false);
  const [isGone, setIsGone] = useState(false);
  const move = (change: Readonly<Record<string, unknown>>): void => {
    void moveStandIn(change).then((moved) => {
      setIsGone(!moved);
    });
  };
  return (
    <details className="border-t border-dashed border-hair pt-[0.3rem]">
      <summary>{say.moveSimulatedLimb}</summary>
      <Field label={<>{say.limb(deg)}</>}>
        <Slider
          min={0}
          max={150}
          value={deg}
          onChange={(event) => {
            setDeg(event.target.valueAsNumber);
            move({ deg: event.target.valueAsNumber });
          }}
        />
      </Field>
      <div className="my-4 flex flex-wrap gap-3">
        <label className="flex min-h-11 cursor-pointer items-center gap-[0.6rem]">
          <input
            type="checkbox"
            checked={isPoor}
            onChange={(event) => {
              setIsPoor(event.target.checked);
              move({ isPoor: event.target.checked });
            }}
          />
          {say.poorContact}
        </label>
        <WordButton
          onClick={() => {
            move({ disconnect: true });
          }}
        >
          {say.breakConnection}
        </WordButton>
      </div>
      {isGone && <p role="alert">{say.simulationDoesNotAnswer}</p>}
    </details>
  );
}
