import type { Sample } from '../core/instruments/sample.ts';
import { SimulatedInclinometer } from '../core/instruments/simulatedInclinometer.ts';

/** A hand leads a limb at most this fast. */
const DEG_PER_SECOND = 45;
/** Devices beyond this are forgotten, the one longest unused first. */
const MOST_DEVICES = 100;

/** What a panel may do to a stand-in. */
export interface PanelMove {
  readonly deg?: number | undefined;
  readonly isPoor?: boolean | undefined;
  readonly disconnect?: boolean | undefined;
}

/** One stand-in that is switched on: a limb moved by hand, and the instrument on it. */
export class Device {
  private readonly instrument: SimulatedInclinometer;
  private readonly startedAt: number;
  private trueDeg = 0;
  private targetDeg = 0;
  private movedAt = 0;
  private breaksNow = false;

  constructor(seed: number, now: number) {
    this.instrument = new SimulatedInclinometer(seed);
    this.startedAt = now;
  }

  move({ deg, isPoor, disconnect }: PanelMove): void {
    if (deg !== undefined) this.targetDeg = deg;
    if (isPoor !== undefined) this.instrument.isPoor = isPoor;
    if (disconnect === true) this.breaksNow = true;
  }

  /** The next sample; null = the connection breaks. */
  read(now: number): Sample | null {
    const at = now - this.startedAt;
    if (this.breaksNow || this.instrument.losesConnection(at)) {
      this.breaksNow = false;
      return null;
    }
    const reach = ((at - this.movedAt) / 1000) * DEG_PER_SECOND;
    const rest = this.targetDeg - this.trueDeg;
    this.trueDeg += Math.sign(rest) * Math.min(Math.abs(rest), reach);
    this.movedAt = at;
    return this.instrument.read(at, this.trueDeg);
  }
}

const devices = new Map<string, Device>();

/** A number from a name, so that one device is the same again after a restart. */
function hashName(name: string): number {
  let hash = 2166136261;
  for (let i = 0; i < name.length; i += 1) {
    hash = Math.imul(hash ^ name.charCodeAt(i), 16777619);
  }
  return hash >>> 0;
}

/** The device of this name, switched on when it is first asked for. */
export function findDevice(name: string, now: number): Device {
  const device = devices.get(name) ?? new Device(hashName(name), now);
  devices.delete(name);
  devices.set(name, device);
  const [oldest] = devices.keys();
  if (devices.size > MOST_DEVICES && oldest !== undefined) devices.delete(oldest);
  return device;
}
