import type { RunInput } from '../plan';
import { TRIES_SEED } from '../policy';
import { openWaterOf, Surroundings } from '../search';
import type { SimState } from '../simulation';
import {
  drawOf,
  RANGE_DRAWS,
  rangeOf,
  rangesOf,
  spreadFor,
  STANDARD_SPREAD,
  variedAround,
  type Range,
} from '../uncertainty';
import { firmThrottle, holdsBow } from '../trials';
import type { Capabilities, PushedWhere } from './able';
import { carryHere, stopHere, turnHere } from './capabilities';
import { letGoAt, pushAt, sizeOf } from './environment-force';

/** Where figures of a brief lie in 90 of 100, by name: of a turn with its sign, of all else the size. SI, radians. */
export type BriefRanges = Readonly<Partial<Record<string, Range>>>;

/** What of a brief is tried again with boat and day drawn, and the moments it is tried from. */
export interface ToTryAgain {
  readonly lying: readonly PushedWhere[];
  readonly able: Capabilities;
  readonly stopping: SimState | null;
  readonly turning: SimState | null;
}

type Figures = Readonly<Record<string, number | null>>;

/** The figures of one draw. */
function figuresOf(input: RunInput, { lying, able, stopping, turning }: ToTryAgain): Figures {
  const open = openWaterOf(input);
  const { craft } = open.world;
  const figures: Record<string, number | null> = {};
  for (const { where, push, at } of lying) {
    const [x, y, heading] = [push.x, push.y, push.heading] as const;
    figures[`${where}-push`] = sizeOf(pushAt(open, x, y, heading, at).force);
    figures[`${where}-drift`] = letGoAt(open, x, y, heading, at).speed;
  }
  if (able.stop && stopping) {
    const stop = stopHere(open, stopping, firmThrottle(craft));
    figures.stop = stop && stop.distance;
    figures.turned = stop && stop.turned;
  }
  if (able.carry && stopping) {
    const carry = carryHere(open, stopping);
    figures.carry = carry && carry.distance;
  }
  if (turning && able.turns.length > 0) {
    const about = new Surroundings({ ...input, berth: new Set() });
    for (const side of [-1, 1] as const) {
      const turn = turnHere(about, turning, side);
      if (turn) figures[`turn ${turn.side}`] = turn.done ? turn.room : null;
    }
  }
  const bow = holdsBow(craft);
  if (bow.burst !== null) figures.burst = bow.burst;
  if (bow.thruster !== null) figures.thruster = bow.thruster;
  return figures;
}

/**
 * Tries the figures of a brief again with boat and day drawn as far out as they may be. A generator: null until all draws are in, so that
 * it can be broken off. A boat that lies still holds against as much wind as its thrust bears: by the root of thrust over windage, as
 * both its race and its propellers push in that measure.
 */
export function* briefRanges(input: RunInput, again: ToTryAgain): Generator<BriefRanges | null> {
  const spread = spreadFor(STANDARD_SPREAD, input.known);
  const figures: Figures[] = [];
  const bears: number[] = [];
  for (let k = 0; k < RANGE_DRAWS; k++) {
    const draw = drawOf(spread, TRIES_SEED, k);
    figures.push(figuresOf(variedAround(input, draw), again));
    bears.push(Math.sqrt(draw.thrust / draw.windForce));
    yield null;
  }
  const { joystick, spring } = again.able.holds;
  const still = { joystick, spring };
  const held = Object.entries(still).flatMap(([name, most]) => {
    const range = most === null || most === 0 ? null : rangeOf(bears.map((by) => most * by));
    return range ? [[name, range] as const] : [];
  });
  yield { ...rangesOf(figures), ...Object.fromEntries(held) };
}
