import { useState } from 'react';
import { askForTilt, type PhoneAxis } from './sources.ts';

interface PhoneStartProps {
  axis: PhoneAxis;
  onAxis: (axis: PhoneAxis) => void;
  onStart: (hasTilt: boolean) => void;
}

/** Some browsers give their tilt only after a press. */
export function PhoneStart({ axis, onAxis, onStart }: PhoneStartProps) {
  const [refused, setRefused] = useState(false);
  return (
    <section className="live">
      <p>
        <label>
          Lay the phone along the limb by its{' '}
          <select
            className="word-select"
            value={axis}
            onChange={(event) => {
              onAxis(event.target.value as PhoneAxis);
            }}
          >
            <option value="long">long edge</option>
            <option value="short">short edge</option>
          </select>
          .
        </label>
      </p>
      <button
        type="button"
        className="button"
        onClick={() => {
          void askForTilt().then((given) => {
            setRefused(!given);
            onStart(given);
          });
        }}
      >
        Start reading its tilt
      </button>
      {refused && (
        <p role="alert">
          This browser gives no tilt, or was not allowed to. Type the number, or take another
          instrument.
        </p>
      )}
    </section>
  );
}
