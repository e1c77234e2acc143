import { ON_FENDER, ON_HULL } from '../policy';
import type { Craft, MassProperties } from '../boat';
import { GROUND, type Between, type TouchScratch } from '../holding';
import { othersOf, type Pair, type TouchWatch, type Vessel, type World } from '../simulation';
import { hullPart, type HullPart } from './hull-part';

export type TouchGrade = 'soft' | 'firm' | 'hard';

/** One touch as it happened. SI. */
export interface Touch {
  readonly time: number;
  /** Index and name of what was touched; the other boats come after the obstacles. */
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

/**
 * A contact as it stands: where on the boat, m; what mass it has to stop, kg; how fast it closes, m/s; its force, N, and
 * depth, m; the loss of what takes it up, s/m.
 */
const AT = { X: 0, Y: 1, MASS: 2, APPROACH: 3, FORCE: 4, DEPTH: 5, LOSS: 6 } as const;

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
  /** Columns AT. */
  private readonly at = new Float64Array(7);
  /** Where the places of what touches the shore, and then each of the other boats, begin: elements, and one between. */
  private readonly begins: readonly number[];

  constructor(private readonly world: World) {
    const own = world.craft.touch.count + 1;
    const begins = [0, own];
    for (const other of othersOf(world))
      begins.push(begins.at(-1)! + own + other.world.craft.touch.count + 1);
    this.begins = begins;
    const places = begins.at(-1)!;
    this.lastLoaded = new Float64Array(places).fill(-Infinity);
    this.savedLoaded = this.lastLoaded.slice();
    this.written = new Int32Array(places);
    this.marked = new Uint8Array(places);
  }

  /** Marks whatever is loaded now as lying there already. */
  settle({ state, scratch: { touch } }: Vessel, pairs: readonly Pair[]): void {
    for (let k = 0; k < touch.count; k++)
      this.load(this.slot(touch, k, this.begins[1]!), state.time);
    for (const { boat, other, acts } of pairs) {
      if (boat > 0 && other > 0) continue;
      for (let k = 0; k < acts.touch.count; k++)
        this.load(this.slotOn(acts, k, boat + other - 1, boat > 0), state.time);
    }
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

  /** Place of an element's touch; of one between elements, the last before `end`. */
  private slot({ element }: TouchScratch, k: number, end: number): number {
    return element[k]! < 0 ? end - 1 : element[k]!;
  }

  /** The same of a touch with the `other`th boat: its own elements, and behind them that boat's. */
  private slotOn({ touch }: Between, k: number, other: number, turned: boolean): number {
    const own = this.world.craft.touch.count + 1;
    const from = this.begins[other + 1]! + (turned ? own : 0);
    const end = turned ? this.begins[other + 2]! - this.begins[other + 1]! - own : own;
    return from + this.slot(touch, k, end);
  }

  see({ state, world: { craft, obstacles }, scratch: { touch } }: Vessel): void {
    for (let k = 0; k < touch.count; k++) {
      const { at } = this;
      at[AT.X] = touch.x[k]!;
      at[AT.Y] = touch.y[k]!;
      at[AT.MASS] = 1 / lightnessOf(craft.mass, at[AT.X]!, at[AT.Y]!, touch.nx[k]!, touch.ny[k]!);
      this.noteHow(touch, k, craft);
      const on = touch.obstacle[k]!;
      const slot = this.slot(touch, k, this.begins[1]!);
      if (this.meets(slot, state.time, on))
        this.add(this.describe(state.time, on, obstacles[on]!.name, fenderOf(craft, touch, k)));
    }
  }

  seeBoat(
    { state: { time }, world: { craft, obstacles } }: Vessel,
    other: World,
    acts: Between,
    turned: boolean,
  ): void {
    const number = othersOf(this.world).findIndex(({ world }) => world === other);
    if (number < 0) return;
    const { touch, seen } = acts;
    const place = turned ? craft : other.craft;
    const sin = seen[GROUND.SIN]!;
    const cos = seen[GROUND.COS]!;
    for (let k = 0; k < touch.count; k++) {
      const x = touch.x[k]!;
      const y = touch.y[k]!;
      const nx = touch.nx[k]!;
      const ny = touch.ny[k]!;
      // The same place and normal in the frame of the one that is taken as the place.
      const ahead = seen[GROUND.Y]! + x * cos - y * sin;
      const starboard = seen[GROUND.X]! + x * sin + y * cos;
      const { at } = this;
      at[AT.X] = turned ? ahead : x;
      at[AT.Y] = turned ? starboard : y;
      at[AT.MASS] =
        1 /
        (lightnessOf(acts.craft.mass, x, y, nx, ny) +
          lightnessOf(place.mass, ahead, starboard, nx * cos - ny * sin, nx * sin + ny * cos));
      this.noteHow(touch, k, acts.craft);
      const on = obstacles.length + number;
      if (!this.meets(this.slotOn(acts, k, number, turned), time, on)) continue;
      const { name } = othersOf(this.world)[number]!;
      const fender = fenderOf(acts.craft, touch, k);
      this.add(this.describe(time, on, name, turned && fender ? `${name}'s ${fender}` : fender));
    }
  }

  /** How fast and how hard the kth touch of a list stands; `craft` has its elements. */
  private noteHow(touch: TouchScratch, k: number, { touch: elements }: Craft): void {
    const { at } = this;
    const element = touch.element[k]!;
    at[AT.APPROACH] = touch.approach[k]!;
    at[AT.FORCE] = touch.normalForce[k]!;
    at[AT.DEPTH] = touch.depth[k]!;
    at[AT.LOSS] = elements.loss[Math.max(0, element)]!;
  }

  /** Is the contact in hand a touch of its own? If it goes on from before, it may raise that one's peak. */
  private meets(slot: number, time: number, obstacle: number): boolean {
    const fresh = time - this.lastLoaded[slot]! > FREE_FOR_S;
    this.load(slot, time);
    if (fresh && this.at[AT.APPROACH]! >= LEAST_APPROACH_MPS) return true;
    this.raisePeak(time, obstacle);
    return false;
  }

  private describe(time: number, obstacle: number, name: string, fender: string | null): Touch {
    const { at } = this;
    const { length, beam } = this.world.craft.spec.hull;
    const speed = speedAtContact(at);
    return {
      time,
      obstacle,
      name,
      part: hullPart(at[AT.X]!, at[AT.Y]!, length, beam),
      fender,
      speed,
      energy: 0.5 * at[AT.MASS]! * speed * speed,
      peakForce: peakForce(at),
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

  private raisePeak(time: number, obstacle: number): void {
    for (let i = this.records.length - 1; i >= 0; i--) {
      const record = this.records[i]!;
      if (time - record.time > 5) return;
      if (record.obstacle !== obstacle) continue;
      const force = peakForce(this.at);
      if (force <= this.peaks[i]!) return;
      this.peaks[i] = force;
      this.recordsChanged = true;
      return;
    }
  }
}

/** Name of the fender that takes a touch, or null for bare hull. */
function fenderOf({ spec, touch }: Craft, { element }: TouchScratch, k: number): string | null {
  return spec.fenders[element[k]! - touch.hullCount]?.name ?? null;
}

/** What a unit push along (nx, ny) at a place moves it there, 1/kg: n_x²/m1 + n_y²/m2 + lever²/I. */
function lightnessOf(mass: MassProperties, x: number, y: number, nx: number, ny: number): number {
  const lever = x * ny - y * nx;
  return (nx * nx) / mass.m11 + (ny * ny) / mass.m22 + (lever * lever) / mass.m33;
}

/** Force a touch still closing in will come to, N, between two looks at it: F² + k m v², k = F/d so far. */
function peakForce(at: Float64Array): number {
  const force = at[AT.FORCE]!;
  const approach = at[AT.APPROACH]!;
  const depth = at[AT.DEPTH]!;
  if (approach <= 0 || depth <= 0) return force;
  return Math.sqrt(force * force + (force / depth) * at[AT.MASS]! * approach * approach);
}

/**
 * Approach speed when the touch began, m/s. It is first seen up to a substep later, when part of the energy is in
 * the spring already: v₀² = v² + F d/m, F without its loss, for a spring near enough straight so far.
 */
function speedAtContact(at: Float64Array): number {
  const approach = at[AT.APPROACH]!;
  const still = at[AT.FORCE]! / Math.max(0.5, 1 + at[AT.LOSS]! * approach);
  return Math.sqrt(approach * approach + (still * at[AT.DEPTH]!) / at[AT.MASS]!);
}

const GRADES: readonly TouchGrade[] = ['soft', 'firm', 'hard'];

/** Orders touches from the mildest to the worst: by grade, then by speed. */
export function severity(touch: Touch): number {
  return GRADES.indexOf(touch.grade) * 1000 + touch.speed;
}
