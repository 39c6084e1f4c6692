import { useState } from 'react';
import { askForTilt, type PhoneAxis } from './sources.ts';
import { WordSelect } from '../../shared/ui/WordSelect.tsx';
import { Button } from '../../shared/ui/Button.tsx';
import { phoneStart as say } from '../words.ts';

interface PhoneStartProps {
  axis: PhoneAxis;
  onAxis: (axis: PhoneAxis) => void;
  onStart: (hasTilt: boolean) => void;
}

/** Some browsers give their tilt only after a press. */
export function PhoneStart({ axis, onAxis, onStart }: PhoneStartProps) {
  const [refused, setRefused] = useState(false);
  return (
    <section className="mb-4 outline-none [&_kbd]:rounded-[3px] [&_kbd]:border [&_kbd]:border-current [&_kbd]:px-[0.35rem] [&_kbd]:font-sans [&_kbd]:text-[0.8rem] [&_kbd]:leading-[normal] [&_kbd]:opacity-80">
      <p>
        <label>
          {say.layPhoneAlongLimb}
          <WordSelect
            value={axis}
            onChange={(event) => {
              onAxis(event.target.value as PhoneAxis);
            }}
          >
            <option value="long">{say.longEdge}</option>
            <option value="short">{say.shortEdge}</option>
          </WordSelect>
          .
        </label>
      </p>
      <Button
        onClick={() => {
          void askForTilt().then((given) => {
            setRefused(!given);
            onStart(given);
          });
        }}
      >
        {say.startReadingItsTilt}
      </Button>
      {refused && <p role="alert">{say.browserGivesNoTilt}</p>}
    </section>
  );
}
