import type { Sample } from '../../../core/instruments/sample.ts';

/** What a stream of angles reports. */
interface Listener {
  readonly onSample: (sample: Sample) => void;
  /** Nothing comes; the source tries again by itself. */
  readonly onLost: () => void;
}

/** Starts a stream; the returned function ends it. */
export type InstrumentSource = (listener: Listener) => () => void;

const DEVICE_KEY = 'stillwater:inclinometer';

/** The stand-in of this tab: one limb, one instrument. */
function findDeviceName(): string {
  const known = sessionStorage.getItem(DEVICE_KEY);
  if (known !== null) return known;
  const name = crypto.randomUUID();
  sessionStorage.setItem(DEVICE_KEY, name);
  return name;
}

/** The digital inclinometer's stand-in, over server-sent events. */
export const inclinometerSource: InstrumentSource = ({ onSample, onLost }) => {
  const stream = new EventSource(`/api/inclinometer?device=${findDeviceName()}`);
  stream.onmessage = (event: MessageEvent<string>) => {
    onSample(JSON.parse(event.data) as Sample);
  };
  stream.onerror = onLost;
  return () => {
    stream.close();
  };
};

/** Which edge of the phone lies along the limb. */
export type PhoneAxis = 'long' | 'short';

/** The phone's own tilt. Some browsers only give it after a press, and only when asked. */
export const phoneSource =
  (axis: PhoneAxis): InstrumentSource =>
  ({ onSample }) => {
    const onTilt = ({ beta, gamma, timeStamp }: DeviceOrientationEvent): void => {
      const deg = axis === 'long' ? beta : gamma;
      // A browser without the sensor sends one event that holds nothing.
      if (deg !== null) onSample({ at: timeStamp, deg, quality: 1, batteryPercent: null });
    };
    window.addEventListener('deviceorientation', onTilt);
    return () => {
      window.removeEventListener('deviceorientation', onTilt);
    };
  };

type Asking = typeof DeviceOrientationEvent & {
  readonly requestPermission?: () => Promise<'granted' | 'denied'>;
};

/** Whether this browser has a tilt to give, asking for it where it must be asked. */
export async function askForTilt(): Promise<boolean> {
  if (!('DeviceOrientationEvent' in window)) return false;
  const { requestPermission } = DeviceOrientationEvent as Asking;
  return requestPermission === undefined || (await requestPermission()) === 'granted';
}

/** Leads the stand-in by hand. */
export async function moveStandIn(move: Readonly<Record<string, unknown>>): Promise<boolean> {
  try {
    const answer = await fetch('/api/inclinometer', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ device: findDeviceName(), ...move }),
    });
    return answer.ok;
  } catch {
    return false;
  }
}
