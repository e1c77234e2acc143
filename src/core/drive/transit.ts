import { atan2, wrapHalfTurn } from '../math';
import type { TrafficPose } from './traffic';

/** Something that stands where it is and can be seen, m. */
export interface Fixed {
  readonly name: string;
  readonly x: number;
  readonly y: number;
}

/** Two fixed things seen in line: as long as they stay so, the boat keeps to that line. */
export interface Transit {
  readonly near: Fixed;
  readonly far: Fixed;
}

/** How a transit stands from the helm. SI, radians. */
export interface TransitNow {
  /** How far the boat is off the line, m: positive to the right of it as one looks along it. */
  readonly off: number;
  /** How fast that grows, m/s; negative where it goes left. */
  readonly rate: number;
  /** How far the far one is open of the near one, rad: positive to its right. */
  readonly open: number;
}

/** Seen so far off the bow at most, rad: a helm does not steer by what is abaft the beam. */
const OFF_BOW = 2;
/** Not further open than this to be in line, rad. */
const IN_LINE = 0.09;
/** A metre off the line has to open them so far, rad: less is not seen. */
const LEAST_OPENING = 0.008;
const LEAST_OFF_M = 3;
const MOST_TOLD = 8;

function across({ near, far }: Transit, x: number, y: number): number {
  const [ex, ny] = [far.x - near.x, far.y - near.y];
  const length = Math.sqrt(ex * ex + ny * ny);
  return length > 0 ? ((x - near.x) * ny - (y - near.y) * ex) / length : 0;
}

/**
 * How a transit stands.
 *
 * @param eye where it is looked from, m
 * @param way what that place does over the ground, m/s east and north
 */
export function transitNow(
  transit: Transit,
  eye: { readonly x: number; readonly y: number },
  way: { readonly east: number; readonly north: number },
): TransitNow {
  const { near, far } = transit;
  const off = across(transit, eye.x, eye.y);
  const bearing = ({ x, y }: Fixed) => atan2(x - eye.x, y - eye.y);
  return {
    off,
    rate: across(transit, eye.x + way.east, eye.y + way.north) - off,
    open: wrapHalfTurn(bearing(far) - bearing(near)),
  };
}

/** A transit that is charted may be taken while it is as open as this, rad: it is there to be come on to. */
const MARKED_OPEN = 0.5;

/** Which of the transits a place is marked with can be seen from here: before the bow or abeam, the nearer mark in front. */
export function markedFrom(marked: readonly Transit[], eye: TrafficPose): Transit[] {
  const looked = ({ x, y }: Fixed) => {
    const [east, north] = [x - eye.x, y - eye.y];
    return {
      away: Math.sqrt(east * east + north * north),
      relative: wrapHalfTurn(atan2(east, north) - eye.heading),
    };
  };
  return marked.filter(({ near, far }) => {
    const [front, back] = [looked(near), looked(far)];
    const open = Math.abs(wrapHalfTurn(back.relative - front.relative));
    const ahead = Math.abs(front.relative) <= OFF_BOW && Math.abs(back.relative) <= OFF_BOW;
    return ahead && front.away < back.away && open < MARKED_OPEN;
  });
}

/**
 * Pairs seen in line from here, the most useful first: near the bow or abeam, in line now, and quick to open.
 *
 * @param eye where it is looked from, m, and the way the boat points, rad
 */
export function transitsFrom(points: readonly Fixed[], eye: TrafficPose): Transit[] {
  const seen = points.flatMap((point) => {
    const [east, north] = [point.x - eye.x, point.y - eye.y];
    const away = Math.sqrt(east * east + north * north);
    if (away < LEAST_OFF_M) return [];
    const relative = wrapHalfTurn(atan2(east, north) - eye.heading);
    const offBow = Math.abs(relative);
    if (offBow > OFF_BOW) return [];
    // Ahead is easiest to hold, abeam next.
    const askew = Math.min(offBow, 0.35 + Math.abs(offBow - Math.PI / 2));
    return [{ point, away, relative, askew }];
  });
  const found: { readonly transit: Transit; readonly worth: number }[] = [];
  for (const near of seen) {
    for (const far of seen) {
      const opening = 1 / near.away - 1 / far.away;
      const open = Math.abs(wrapHalfTurn(far.relative - near.relative));
      if (opening < LEAST_OPENING || open > IN_LINE) continue;
      // Metres off the line, with what makes a pair hard to use counted as metres.
      const worth = open / opening + 4 * near.askew + 0.02 / opening;
      found.push({ transit: { near: near.point, far: far.point }, worth });
    }
  }
  return found
    .sort((a, b) => a.worth - b.worth)
    .slice(0, MOST_TOLD)
    .map(({ transit }) => transit);
}
