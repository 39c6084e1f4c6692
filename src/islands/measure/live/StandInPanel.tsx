import { useState } from 'react';
import { moveStandIn } from './sources.ts';

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
    <details className="stand-in">
      <summary>Lead the simulated limb by hand</summary>
      <label className="field">
        <span>The limb is at {deg}°</span>
        <input
          type="range"
          min={0}
          max={150}
          value={deg}
          onChange={(event) => {
            setDeg(event.target.valueAsNumber);
            move({ deg: event.target.valueAsNumber });
          }}
        />
      </label>
      <div className="button-row">
        <label className="check">
          <input
            type="checkbox"
            checked={isPoor}
            onChange={(event) => {
              setIsPoor(event.target.checked);
              move({ isPoor: event.target.checked });
            }}
          />{' '}
          poor contact
        </label>
        <button
          type="button"
          className="word-button"
          onClick={() => {
            move({ disconnect: true });
          }}
        >
          Break the connection
        </button>
      </div>
      {isGone && <p role="alert">The simulation does not answer. It needs the app’s own server.</p>}
    </details>
  );
}
