import { atan2, cos, sin, wrapHalfTurn } from '@/core/math';
import type { BoatSpec, Craft } from '@/core/boat';
import type { LineEnd, MarkOnPlace, PointOnBoat, RunInput } from '@/core/plan';
import { roomAt } from '@/core/search';
import { firmThrottle } from '@/core/trials';
import { degrees } from '@/document/fields';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { lineEndsAtStart, placeOf, type Other } from '@/document/others';
import type { Result } from '@/document/result';
import { success } from '@/document/result';
import { namedMarks } from '@/document/place';
import { toRunInput, withBoats } from '@/document/run-input';
import type { Side } from '@/document/fields';

/** What a technique is laid out from: boat, place, day, start and goal as they are run. SI, radians. */
export interface Setting {
  readonly input: RunInput;
  readonly craft: Craft;
  readonly boat: BoatSpec;
  readonly length: number;
  readonly beam: number;
  readonly firm: number;
  /** Seconds in neutral between ahead and astern; and from amidships to hard over. */
  readonly pause: number;
  readonly hardOver: number;
  /** Is thrust itself turned? */
  readonly steered: boolean;
  /** Two fixed shafts far enough apart to turn the boat: names of port and starboard; else null. */
  readonly pair: { readonly port: string; readonly starboard: string } | null;
  readonly lie: LieSetting | null;
  /** Boats that lie about and give way. */
  readonly others: readonly Other[];
  /** What a line can be made on to. */
  readonly ends: readonly LineEnd[];
  /** Ground lines there are to pick up. */
  readonly grounds: readonly LineEnd[];
  /** What can be seen and named of the place: the middles of berths are not. */
  readonly marks: readonly MarkOnPlace[];
  /** Names of the buoys there are. */
  readonly buoys: readonly string[];
  /** Going off: the side the boat's berth is not on, 1 starboard; null when it lies against nothing. */
  readonly off: 1 | -1 | null;
  /** Room to what the boat lies against, where it begins, m; infinite where that is nothing. */
  readonly berthOff: number;
}

export interface LieSetting {
  readonly point: PointOnBoat;
  readonly mark: MarkOnPlace;
  readonly heading: number;
  /** Side the boat lies to what the mark is on. */
  readonly side: Side;
  /** 1 when that is starboard. */
  readonly toward: 1 | -1;
  /** From the start to the mark: bearing, distance, and how far the berth's heading lies from that bearing. */
  readonly bearing: number;
  readonly distance: number;
  readonly angle: number;
}

function lieSetting({ goal, start }: RunInput, others: readonly Other[]): LieSetting | null {
  if (goal.is !== 'lie') return null;
  const { point, mark: meant, heading } = goal;
  // A mark on another boat is where it is as the manoeuvre begins.
  const on = meant.boat ? others[meant.boat - 1] : undefined;
  const mark = on ? { name: meant.name, ...placeOf(on.start, meant.x, meant.y) } : meant;
  const east = mark.x - start.x;
  const north = mark.y - start.y;
  const bearing = atan2(east, north);
  // A point amidships does not tell the side: then the side the mark lies on, seen along the berth from the start.
  const across = point.y !== 0 ? point.y : east * cos(heading) - north * sin(heading);
  const starboard = across > 0;
  return {
    point,
    mark,
    heading,
    side: starboard ? 'starboard' : 'port',
    toward: starboard ? 1 : -1,
    bearing,
    distance: Math.sqrt(east * east + north * north),
    angle: wrapHalfTurn(heading - bearing),
  };
}

/** Room to the boat's berth from where it begins, and tried a step to either side: off it is where more of it is. */
function offBerth(input: RunInput): Pick<Setting, 'off' | 'berthOff'> {
  const craft = input.craft!;
  const shore = withBoats(input);
  const { x, y, heading } = input.start;
  const others = new Set(shore.obstacles.flatMap(({ id }, i) => (input.berth.has(id) ? [] : [i])));
  if (others.size === shore.count) return { off: null, berthOff: Infinity };
  const room = (by: number) =>
    roomAt(craft, shore, others, x + by * cos(heading), y - by * sin(heading), heading).distance;
  return { off: room(0.5) >= room(-0.5) ? 1 : -1, berthOff: room(0) };
}

function seenMarks({ place }: ManoeuvreFile): MarkOnPlace[] {
  const middles = new Set(place.berths.map(({ name }) => name));
  return namedMarks(place).filter(({ name }) => !middles.has(name));
}

const upToTenth = (seconds: number) => Math.ceil(10 * seconds - 1e-6) / 10;

export function settingOf(file: ManoeuvreFile): Result<Setting> {
  const run = toRunInput(file);
  if (!run.ok) return run;
  const input = run.value;
  const craft = input.craft!;
  const boat = input.boat;
  const { length, beam } = boat.hull;
  const { drives } = boat;
  const ends = lineEndsAtStart(file);
  const fixed = drives.filter(({ steering }) => steering === 'fixed');
  const first = fixed[0];
  const last = fixed.at(-1);
  const apart = first && last && Math.abs(last.y - first.y) > 0.15 * beam;
  const [port, starboard] = apart && first.y > last.y ? [last, first] : [first, last];
  return success({
    input,
    craft,
    boat,
    length,
    beam,
    firm: firmThrottle(craft),
    pause: upToTenth(Math.max(0.5, ...drives.map(({ neutralPause }) => neutralPause))),
    hardOver: upToTenth(craft.limits[0]! / boat.steering.rate),
    steered: drives.some(({ steering }) => steering !== 'fixed'),
    pair: apart ? { port: port!.name, starboard: starboard!.name } : null,
    lie: lieSetting(input, file.others),
    others: file.others,
    ends: ends.filter(({ tail }) => !tail),
    grounds: ends.filter(({ tail }) => tail),
    marks: seenMarks(file),
    buoys: file.place.features.flatMap((f) => (f.kind === 'buoy' ? [f.name] : [])),
    ...offBerth(input),
  });
}

/** The berth's part of a setting. Only for techniques that come to lie somewhere. */
export function lieOf({ lie }: Setting): LieSetting {
  if (!lie) throw new Error('the technique is for a manoeuvre that comes to lie somewhere');
  return lie;
}

/** Full wheel, whole degrees. */
export const lockOf = ({ craft }: Setting) => Math.floor(degrees(craft.limits[0]!));

export const headingOf = (radians: number) => (degrees(radians) + 720) % 360;
