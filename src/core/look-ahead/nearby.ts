import type { ObstacleSet } from '../holding';
import { cos, sin, wrapHalfTurn } from '../math';
import { NEARBY } from '../policy';
import type { Told } from '../simulation';
import { fieldOf, roundTheDeck, type Field } from './field';
import type { Frame } from './grid';
import { Latest, textOf } from './latest';
import {
  clearOf,
  feelFor,
  likedRoom,
  outlookFor,
  slowsBy,
  weatheringOf,
  workedBy,
  type Manner,
  type Outlook,
} from './outlook';
import type { Toward } from './ways';

/** Where a boat is. m, rad. */
export interface Pose {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
}

/** What a boat is to do on the spot. SI, radians. */
export type NearAim =
  /** To lie so, and to be kept there. */
  | {
      readonly is: 'lie';
      readonly at: Pose;
      readonly within: number;
      readonly headingWithin: number;
    }
  /** To head somewhere else without going anywhere: round by port, by starboard, or the shorter way. */
  | {
      readonly is: 'round';
      readonly heading: number;
      readonly headingWithin: number;
      readonly side: 'port' | 'starboard' | 'shorter';
    };

const TURN = 2 * Math.PI;

const frameAt = ({ x, y, heading }: Pose): Frame => ({
  x,
  y,
  heading,
  sin: sin(heading),
  cos: cos(heading),
});

/**
 * How long it takes to a pose with next to nothing to be turned or shifted aside, as it is reckoned by eye, s: ways are known at places too far apart for that. Where it is less than the way known it counts.
 */
function straightTo(at: Pose, ways: Toward): Toward {
  return {
    ...ways,
    seconds(x, y, heading, astern) {
      const s = sin(heading);
      const c = cos(heading);
      const ahead = (at.x - x) * s + (at.y - y) * c;
      const aside = (at.x - x) * c - (at.y - y) * s;
      const off = wrapHalfTurn(heading - at.heading);
      // What lies the other way asks for the other gear first.
      const back = Math.min(1, Math.max(0, (astern ? ahead : -ahead) / NEARBY.back));
      const straight =
        Math.abs(ahead) / NEARBY.along +
        back * NEARBY.other +
        NEARBY.aside * aside * aside +
        NEARBY.turned * off * off;
      return Math.min(straight, ways.seconds(x, y, heading, astern));
    },
  };
}

/** How much has yet to be turned to a heading, rad: by one side all the way round, but for what it is past it. */
function leftBy(side: -1 | 0 | 1, heading: number, to: number): number {
  const off = wrapHalfTurn(to - heading);
  if (side === 0 || side * off >= 0 || Math.abs(off) < NEARBY.past) return Math.abs(off);
  return TURN - Math.abs(off);
}

/** How long it takes round to a heading, and back from where it has been set meanwhile, s. */
function towardHeading(from: Pose, to: number, side: -1 | 0 | 1, length: number): Toward {
  const free = NEARBY.free * length;
  return {
    frame: frameAt({ ...from, heading: to }),
    seconds(x, y, heading) {
      const dx = x - from.x;
      const dy = y - from.y;
      // What it is set is made good again the sooner the further it is.
      const far = Math.sqrt(dx * dx + dy * dy) / free;
      return leftBy(side, heading, to) / NEARBY.round + NEARBY.set * far * far;
    },
  };
}

const fields = new Latest<Field>(16);

/** The distances of the water round a place, in squares so that places near one another share one. */
function fieldRound(shore: ObstacleSet, { x, y }: Pose, length: number): Field {
  const square = NEARBY.square * length;
  const west = (Math.floor(x / square) - NEARBY.squares) * square;
  const south = (Math.floor(y / square) - NEARBY.squares) * square;
  const side = (2 * NEARBY.squares + 1) * square;
  const box = { west, south, east: west + side, north: south + side };
  const cell = Math.max(0.25, length / 40);
  const key = [textOf(shore.obstacles), west, south, side, cell].join();
  return fields.of(key, () => fieldOf(shore, box, cell));
}

/** What is to be reckoned with by somebody who works a boat on the spot, looking a few seconds ahead. */
export function nearbyFor(
  told: Told,
  shore: ObstacleSet,
  from: Pose,
  aim: NearAim,
  manner: Manner,
): Outlook {
  if (aim.is === 'round') return roundFor(told, shore, from, aim, manner);
  const { x, y, heading } = aim.at;
  const { within, headingWithin } = aim;
  const lie = { is: 'lie', point: { x: 0, y: 0 }, mark: { x, y }, heading } as const;
  const start = { ...told.start, ...from };
  const near = { ...lie, within, headingWithin };
  const { prospect, weathering } = outlookFor(
    { ...told, start },
    shore,
    near,
    manner,
    NEARBY.looks,
  );
  const ways = straightTo(aim.at, prospect.ways);
  return { prospect: { ...prospect, ways, stays: true }, weathering };
}

function roundFor(
  { craft, weather }: Told,
  shore: ObstacleSet,
  from: Pose,
  { heading: to, headingWithin, side: by }: Extract<NearAim, { readonly is: 'round' }>,
  manner: Manner,
): Outlook {
  const { length } = craft.spec.hull;
  const thrusters = manner.thrusters && craft.spec.thrusters.length > 0;
  const feel = feelFor(craft, weather, thrusters, manner.idle ?? false);
  const deck = roundTheDeck(craft, Math.max(0.5, length / 16));
  const side = by === 'port' ? -1 : by === 'starboard' ? 1 : 0;
  const basis = {
    feel,
    field: fieldRound(shore, from, length),
    deck,
    ways: towardHeading(from, to, side, length),
    missed: (_x: number, _y: number, heading: number) => leftBy(side, heading, to) / headingWithin,
    // Wind and current set it on the while.
    still: NEARBY.most,
    spare: likedRoom(length),
    goesOn: false,
    reach: 0.4 * length,
    clear: clearOf(deck),
    ...slowsBy(feel),
  };
  return { prospect: workedBy(basis, manner), weathering: weatheringOf(weather) };
}
