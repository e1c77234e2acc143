import { SETTLED_MPS } from '../policy';
import { LINE } from '../holding';
import { cos, sin } from '../math';
import type { RunInput } from '../plan';
import { engines, Rollout, letGo, Surroundings, wheel } from '../search';
import { lineColumn, lineLimits, takeLineOff, type Gear, type SimState } from '../simulation';

/** How the boat is motored while its lines hold it: the wheel as a share of the lock, starboard positive. */
export interface Motored {
  readonly gear: Gear;
  readonly throttle: number;
  readonly wheel: number;
}

export const IN_NEUTRAL: Motored = { gear: 0, throttle: 0, wheel: 0 };

/** What a line carries once the boat has settled. */
export interface Carried {
  readonly line: string;
  /** Mean over the last seconds, and the most since the boat began to settle, N. */
  readonly tension: number;
  readonly most: number;
  readonly breaks: number;
  readonly parted: boolean;
}

/** Where the boat settles on its lines, in this wind and current at their mean. SI, radians. */
export interface MooringHold {
  readonly motored: Motored;
  /** From where the boat lay: ahead, to starboard, and turned to starboard. */
  readonly ahead: number;
  readonly starboard: number;
  readonly turned: number;
  /** Still moving when the time was up, m/s; nought when the boat has settled. */
  readonly moving: number;
  readonly lines: readonly Carried[];
  /** What becomes of the boat when one of them parts: how far either end goes in half a minute, and the heaviest load then. */
  readonly without: readonly Without[];
  /** Names in the order they may be let go in neutral: each time the one the boat is held best without; the last holds it. */
  readonly order: readonly string[];
  readonly done: boolean;
}

export interface Without {
  readonly line: string;
  readonly off: number;
  readonly heaviest: string | null;
  readonly tension: number;
  readonly breaks: number;
}

const SETTLES_S = 120;
const MEAN_S = 15;
const PARTED_FOR_S = 30;

/** Lines held at one mean wind, from the manoeuvre's start. */
class Holding {
  private readonly about: Surroundings;
  private readonly names: readonly string[];
  private readonly half: number;

  constructor(input: RunInput) {
    const { gusts: _gusts, ...weather } = input.weather;
    this.about = new Surroundings({ ...input, weather });
    this.names = input.rigging?.lines.map(({ name }) => name) ?? [];
    this.half = input.boat.hull.length / 2;
  }

  start(): SimState {
    const { x, y, heading } = this.about.input.start;
    return this.about.stillAt(x, y, heading, 0);
  }

  on(state: SimState): number[] {
    return this.names.flatMap((_, i) => (this.isOn(state, i) ? [i] : []));
  }

  private isOn(state: SimState, line: number): boolean {
    return lineColumn(state, this.about.world, line, LINE.HOLD) > 0;
  }

  private breaks(line: number): number {
    return lineLimits(this.about.world, line).breaks;
  }

  settle(motored: Motored) {
    const from = this.start();
    const on = this.on(from);
    const rollout = new Rollout(this.about, from);
    motor(rollout, motored);
    const sums = this.names.map(() => 0);
    const most = this.names.map(() => 0);
    let samples = 0;
    rollout.until(() => {
      const counts = rollout.time > SETTLES_S - MEAN_S;
      if (counts) samples += 1;
      for (const i of on) {
        most[i] = Math.max(most[i]!, rollout.tension(i));
        if (counts) sums[i]! += rollout.tension(i);
      }
      return false;
    }, SETTLES_S);
    const carried = on.map((i): Carried => ({
      line: this.names[i]!,
      tension: sums[i]! / Math.max(1, samples),
      most: most[i]!,
      breaks: this.breaks(i),
      parted: !this.isOn(rollout.state, i),
    }));
    return { rollout, carried, on };
  }

  /** Without some lines for half a minute, from a state the boat has settled in. */
  without(from: SimState, motored: Motored, off: readonly number[]): Without {
    const state = this.about.copyOf(from);
    for (const line of off) takeLineOff(state, this.about.world, line);
    const on = this.on(state);
    const rollout = new Rollout(this.about, state);
    motor(rollout, motored);
    const { x, y, heading } = rollout;
    let furthest = 0;
    let heaviest = -1;
    let tension = 0;
    rollout.until(() => {
      for (const way of [this.half, -this.half]) {
        const dx = rollout.x - x + way * (sin(rollout.heading) - sin(heading));
        const dy = rollout.y - y + way * (cos(rollout.heading) - cos(heading));
        furthest = Math.max(furthest, Math.sqrt(dx * dx + dy * dy));
      }
      for (const i of on) {
        if (rollout.tension(i) <= tension) continue;
        tension = rollout.tension(i);
        heaviest = i;
      }
      return false;
    }, PARTED_FOR_S);
    return {
      line: this.names[off.at(-1)!]!,
      off: furthest,
      heaviest: heaviest < 0 ? null : this.names[heaviest]!,
      tension,
      breaks: heaviest < 0 ? Infinity : this.breaks(heaviest),
    };
  }

  nameOf(line: number): string {
    return this.names[line]!;
  }
}

function motor(rollout: Rollout, { gear, throttle, wheel: share }: Motored): void {
  letGo(rollout);
  wheel(rollout, share);
  if (gear !== 0) engines(rollout, gear, throttle);
}

/**
 * Where the boat settles on the lines it begins with, how loaded each is, what if one parts, and the order in which to let
 * them go. A generator: first where it settles, then all of it.
 */
export function* holdingOf(input: RunInput, motored: Motored): Generator<MooringHold> {
  const holding = new Holding(input);
  const { rollout, carried, on } = holding.settle(motored);
  const { start } = input;
  const dx = rollout.x - start.x;
  const dy = rollout.y - start.y;
  const s = sin(start.heading);
  const c = cos(start.heading);
  const speed = rollout.overGround;
  const found = {
    motored,
    ahead: dx * s + dy * c,
    starboard: dx * c - dy * s,
    turned: rollout.heading - start.heading,
    moving: speed < SETTLED_MPS ? 0 : speed,
    lines: carried,
  };
  yield { ...found, without: [], order: [], done: false };
  const without: Without[] = [];
  for (const line of on) {
    without.push(holding.without(rollout.state, motored, [line]));
    yield { ...found, without: without.slice(), order: [], done: false };
  }
  // Let go in neutral, whatever the boat was motored with.
  const settled = motored.gear === 0 ? rollout : holding.settle(IN_NEUTRAL).rollout;
  const gone: number[] = [];
  let left = [...on];
  while (left.length > 0) {
    const tried = left.map((line) => ({
      line,
      off: left.length === 1 ? 0 : holding.without(settled.state, IN_NEUTRAL, [...gone, line]).off,
    }));
    const best = tried.reduce((a, b) => (b.off < a.off - 1e-6 ? b : a));
    gone.push(best.line);
    left = left.filter((line) => line !== best.line);
  }
  yield { ...found, without, order: gone.map((line) => holding.nameOf(line)), done: true };
}
