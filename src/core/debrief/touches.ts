import type { SimState, Scratch, TouchWatch, World } from '../sim';
import { hullPart, type HullPart } from './hull-part';

export type TouchGrade = 'soft' | 'firm' | 'hard';

/** One touch as it happened. SI. */
export interface Touch {
  readonly time: number;
  /** Index and name of what was touched. */
  readonly obstacle: number;
  readonly name: string;
  readonly part: HullPart;
  /** Name of the fender that took it, or null for bare hull. */
  readonly fender: string | null;
  /** Approach speed normal to the face, m/s. */
  readonly speed: number;
  /** Energy to be taken up, ½ m_eff v², J. */
  readonly energy: number;
  /** Greatest normal force during it, N. */
  readonly peakForce: number;
  readonly grade: TouchGrade;
}

// Approach speeds that part soft from firm from hard. Judgement: 0.1–0.25 m/s is a controlled berthing
// of small craft on fenders (order of PIANC 2002, BS 6349-4; recalled); bare hull stands half of it.
const ON_FENDER = { firm: 0.15, hard: 0.3 };
const ON_HULL = { firm: 0.08, hard: 0.15 };

export function gradeTouch(speed: number, onFender: boolean): TouchGrade {
  const limits = onFender ? ON_FENDER : ON_HULL;
  return speed >= limits.hard ? 'hard' : speed >= limits.firm ? 'firm' : 'soft';
}

/** Slower than this is lying there, not touching, m/s. */
const LEAST_APPROACH_MPS = 0.01;
/** An element free for this long touches anew, s. */
const FREE_FOR_S = 0.5;
/** Touches of one thing closer together than this count as one, the hardest, s. */
const SAME_TOUCH_S = 1;
const MOST_TOUCHES = 200;

/** Keeps the touches of a run. It can be saved before a step and restored when that step is retaken. */
export class TouchLog implements TouchWatch {
  private readonly records: Touch[] = [];
  /** Greatest force of each record so far, N: raised more often than anything else of it. */
  private readonly peaks = new Float64Array(MOST_TOUCHES);
  private readonly lastLoaded: Float64Array;
  private readonly savedLoaded: Float64Array;
  /** Places of lastLoaded written to since it was saved, as a list and as a mark each. */
  private readonly written: Int32Array;
  private readonly marked: Uint8Array;
  private writtenCount = 0;
  private savedRecords: Touch[] = [];
  private readonly savedPeaks = new Float64Array(MOST_TOUCHES);
  private recordsChanged = false;

  constructor(elements: number) {
    // One more place for touches between elements.
    this.lastLoaded = new Float64Array(elements + 1).fill(-Infinity);
    this.savedLoaded = this.lastLoaded.slice();
    this.written = new Int32Array(elements + 1);
    this.marked = new Uint8Array(elements + 1);
  }

  /** Marks whatever is loaded now as lying there already. */
  settle(state: SimState, s: Scratch): void {
    for (let k = 0; k < s.touch.count; k++) this.load(this.slot(s, k), state.time);
  }

  /** What stands now is what `restore` comes back to. Costs only what has changed since it was last called. */
  save(): void {
    for (let i = 0; i < this.writtenCount; i++) {
      const slot = this.written[i]!;
      this.savedLoaded[slot] = this.lastLoaded[slot]!;
      this.marked[slot] = 0;
    }
    this.writtenCount = 0;
    if (!this.recordsChanged) return;
    this.recordsChanged = false;
    if (this.savedRecords.length !== this.records.length) this.savedRecords.length = 0;
    for (let i = 0; i < this.records.length; i++) {
      this.savedRecords[i] = this.records[i]!;
      this.savedPeaks[i] = this.peaks[i]!;
    }
  }

  restore(): void {
    for (let i = 0; i < this.writtenCount; i++) {
      const slot = this.written[i]!;
      this.lastLoaded[slot] = this.savedLoaded[slot]!;
      this.marked[slot] = 0;
    }
    this.writtenCount = 0;
    if (!this.recordsChanged) return;
    this.recordsChanged = false;
    this.records.length = this.savedRecords.length;
    for (let i = 0; i < this.records.length; i++) {
      this.records[i] = this.savedRecords[i]!;
      this.peaks[i] = this.savedPeaks[i]!;
    }
  }

  get count(): number {
    return this.records.length;
  }

  touches(): readonly Touch[] {
    return this.records.map((record, i) => ({ ...record, peakForce: this.peaks[i]! }));
  }

  private load(slot: number, time: number): void {
    if (this.marked[slot] === 0) {
      this.marked[slot] = 1;
      this.written[this.writtenCount++] = slot;
    }
    this.lastLoaded[slot] = time;
  }

  private slot(s: Scratch, k: number): number {
    const element = s.touch.element[k]!;
    return element < 0 ? this.lastLoaded.length - 1 : element;
  }

  see(state: SimState, world: World, s: Scratch): void {
    const { time } = state;
    for (let k = 0; k < s.touch.count; k++) {
      const slot = this.slot(s, k);
      const fresh = time - this.lastLoaded[slot]! > FREE_FOR_S;
      this.load(slot, time);
      if (fresh && s.touch.approach[k]! >= LEAST_APPROACH_MPS)
        this.add(this.describe(state, world, s, k));
      else this.raisePeak(time, world.craft, s, k);
    }
  }

  private describe(state: SimState, { craft, obstacles }: World, s: Scratch, k: number): Touch {
    const x = s.touch.x[k]!;
    const y = s.touch.y[k]!;
    const effective = effectiveMass(craft, s, k);
    const element = s.touch.element[k]!;
    const speed = speedAtContact(craft, s, k, effective);
    const fender = craft.spec.fenders[element - craft.touch.hullCount] ?? null;
    const { length, beam } = craft.spec.hull;
    return {
      time: state.time,
      obstacle: s.touch.obstacle[k]!,
      name: obstacles[s.touch.obstacle[k]!]!.name,
      part: hullPart(x, y, length, beam),
      fender: fender?.name ?? null,
      speed,
      energy: 0.5 * effective * speed * speed,
      peakForce: peakForce(craft, s, k),
      grade: gradeTouch(speed, fender !== null),
    };
  }

  private add(touch: Touch): void {
    const last = this.records.findIndex(
      (r) => r.obstacle === touch.obstacle && touch.time - r.time < SAME_TOUCH_S,
    );
    this.recordsChanged = true;
    if (last >= 0) {
      if (severity(touch) > severity(this.records[last]!)) this.records[last] = touch;
      this.peaks[last] = Math.max(this.peaks[last]!, touch.peakForce);
    } else if (this.records.length < MOST_TOUCHES) {
      this.peaks[this.records.length] = touch.peakForce;
      this.records.push(touch);
    }
  }

  private raisePeak(time: number, craft: World['craft'], s: Scratch, k: number): void {
    const obstacle = s.touch.obstacle[k]!;
    for (let i = this.records.length - 1; i >= 0; i--) {
      const record = this.records[i]!;
      if (time - record.time > 5) return;
      if (record.obstacle !== obstacle) continue;
      const force = peakForce(craft, s, k);
      if (force <= this.peaks[i]!) return;
      this.peaks[i] = force;
      this.recordsChanged = true;
      return;
    }
  }
}

/** Mass that a touch has to stop, kg: 1/(n_x²/m1 + n_y²/m2 + lever²/I). */
function effectiveMass({ mass }: World['craft'], s: Scratch, k: number): number {
  const nx = s.touch.nx[k]!;
  const ny = s.touch.ny[k]!;
  const lever = s.touch.x[k]! * ny - s.touch.y[k]! * nx;
  return 1 / ((nx * nx) / mass.m11 + (ny * ny) / mass.m22 + (lever * lever) / mass.m33);
}

/** Force a touch still closing in will come to, N, between two looks at it: F² + k m v², k = F/d so far. */
function peakForce(craft: World['craft'], s: Scratch, k: number): number {
  const force = s.touch.normalForce[k]!;
  const approach = s.touch.approach[k]!;
  const depth = s.touch.depth[k]!;
  if (approach <= 0 || depth <= 0) return force;
  const stiffness = force / depth;
  return Math.sqrt(force * force + stiffness * effectiveMass(craft, s, k) * approach * approach);
}

/**
 * Approach speed when the touch began, m/s. It is first seen up to a substep later, when part of the energy is in
 * the spring already: v₀² = v² + F d/m, F without its loss, for a spring near enough straight so far.
 */
function speedAtContact(craft: World['craft'], s: Scratch, k: number, effective: number): number {
  const { touch } = craft;
  const element = s.touch.element[k]!;
  const approach = s.touch.approach[k]!;
  const loss = element >= touch.hullCount ? touch.loss[element]! : touch.loss[0]!;
  const still = s.touch.normalForce[k]! / Math.max(0.5, 1 + loss * approach);
  return Math.sqrt(approach * approach + (still * s.touch.depth[k]!) / effective);
}

const GRADES: readonly TouchGrade[] = ['soft', 'firm', 'hard'];

/** Orders touches from the mildest to the worst: by grade, then by speed. */
export function severity(touch: Touch): number {
  return GRADES.indexOf(touch.grade) * 1000 + touch.speed;
}
