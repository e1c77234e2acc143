import { STICK } from '../holding';
import { R, U, V } from './state';

/** What does work on the boat, as it is booked; velocities are through the reference current, and so is the work. */
export const WORKS = [
  'hull',
  'keel and fins',
  'propellers',
  'rudders and legs',
  'thrusters',
  'wind',
  'banks',
  'touches',
  'lines',
  'other boats',
  'water of a lock',
  'wash',
] as const;
export type Work = (typeof WORKS)[number];

const COUNT = WORKS.length;
const STAGES = 4;
/** Classical Runge–Kutta's weights: work is summed with the same ones as the motion, so that the books close as well. */
const WEIGHT = [1 / 6, 2 / 6, 2 / 6, 1 / 6];
/** The stages that look at a piece's start, and first at its middle. */
const START = 0;
const MIDDLE = 1;

/** Books of the work done on the boat, J by `WORKS`; a run keeps them only if it is asked to. */
export class Ledger {
  readonly work = new Float64Array(COUNT);
  private readonly power = new Float64Array(STAGES * COUNT);
  /** Force of each cause as noted at each stage, and all of it at the last note: surge, sway, yaw. */
  private readonly forces = new Float64Array(STAGES * COUNT * 3);
  private readonly all = new Float64Array(3);
  private readonly kept = new Float64Array(COUNT);
  private stage = 0;
  private so = 0;

  begin(stage: number): void {
    this.stage = stage;
    this.so = 0;
    this.all.fill(0);
    this.power.fill(0, stage * COUNT, (stage + 1) * COUNT);
  }

  /** Books what has come on to `force` since as the power of one cause. */
  note(cause: number, force: Float64Array, motion: Float64Array): void {
    const now = along(force, motion);
    this.power[this.stage * COUNT + cause]! += now - this.so;
    this.so = now;
    const at = 3 * (this.stage * COUNT + cause);
    for (let i = 0; i < 3; i++) {
      this.forces[at + i] = force[i]! - this.all[i]!;
      this.all[i] = force[i]!;
    }
  }

  /**
   * Books causes that were not looked at but taken from the stages before (they stand in `force` by now): as they were in
   * the middle, or `onward`, in a straight line from the start through it.
   */
  run(causes: readonly number[], force: Float64Array, motion: Float64Array, onward: boolean): void {
    for (const cause of causes) {
      const middle = this.powerOf(MIDDLE, cause, motion);
      this.power[this.stage * COUNT + cause]! += onward
        ? 2 * middle - this.powerOf(START, cause, motion)
        : middle;
    }
    this.so = along(force, motion);
    this.all.set(force);
  }

  /** What a cause would give at this motion with its force of that stage, W. */
  private powerOf(stage: number, cause: number, motion: Float64Array): number {
    const at = 3 * (stage * COUNT + cause);
    return along(this.forces.subarray(at, at + 3), motion);
  }

  /** Friction that holds the boat back by how fast it changes pushes with −S ν̇. */
  noteStick(stick: Float64Array, rates: Float64Array, motion: Float64Array): void {
    const du = rates[U]!;
    const dv = rates[V]!;
    const dr = rates[R]!;
    const x = stick[STICK.UU]! * du + stick[STICK.UV]! * dv + stick[STICK.UR]! * dr;
    const y = stick[STICK.UV]! * du + stick[STICK.VV]! * dv + stick[STICK.VR]! * dr;
    const n = stick[STICK.UR]! * du + stick[STICK.VR]! * dv + stick[STICK.RR]! * dr;
    const power = x * motion[U]! + y * motion[V]! + n * motion[R]!;
    this.power[this.stage * COUNT + TOUCHES]! -= power;
  }

  /** A piece of `h` seconds is done. */
  sum(h: number): void {
    for (let k = 0; k < STAGES; k++)
      for (let i = 0; i < COUNT; i++) this.work[i]! += h * WEIGHT[k]! * this.power[k * COUNT + i]!;
  }

  save(): void {
    this.kept.set(this.work);
  }
  restore(): void {
    this.work.set(this.kept);
  }
}

const TOUCHES = WORKS.indexOf('touches');

function along(force: Float64Array, motion: Float64Array): number {
  return force[0]! * motion[U]! + force[1]! * motion[V]! + force[2]! * motion[R]!;
}
