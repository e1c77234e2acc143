import { assembleCraft, type Craft } from '@/core/boat';
import { atan2, cos, isInside, sin, wrapHalfTurn } from '@/core/math';
import { obstacleSetOf, type ObstacleSet } from '@/core/holding';
import {
  USUAL_FENDER_M,
  END_GAP_M,
  SLIP_HEAD_GAP_M,
  SLIP_LEAST_SHARE,
  SQUEEZED_M,
  START_ROOM_LENGTHS,
  START_ROOM_M,
} from '@/core/policy';
import { roomAt } from '@/core/search';
import { hasDrive, steadySpeed } from '@/core/trials';
import type { Boat } from '@/document/boat';
import { toBoatSpec } from '@/document/boat-spec';
import type { Conditions } from '@/document/conditions';
import { degrees, radians } from '@/document/fields';
import type { Side } from '@/document/fields';
import type { Manoeuvre } from '@/document/manoeuvre';
import { endTo, toObstacles, type Berth, type Place } from '@/document/place';

/** Where and how a boat lies in a berth, metres and radians; `out` points from the edge to the water. */
export interface Lying {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
  readonly out: { readonly x: number; readonly y: number };
  /** In a slip, whether the boat's bow is at its head; false stern to; null alongside. */
  readonly bowIn: boolean | null;
}

/** Unit vector from a berth's edge to the water; of two waters, the one to the left of the edge's first end. */
export function outOf(place: Place, { edge_m: [[ax, ay], [bx, by]], on }: Berth) {
  const length = Math.sqrt((bx - ax) * (bx - ax) + (by - ay) * (by - ay));
  const t = { x: (bx - ax) / length, y: (by - ay) / length };
  const left = { x: -t.y, y: t.x };
  const right = { x: t.y, y: -t.x };
  const solid = place.features.flatMap((f) =>
    'outline_m' in f && on.includes(f.id) ? [Float64Array.from(f.outline_m.flat())] : [],
  );
  const dry = ({ x, y }: { x: number; y: number }) =>
    solid.some((outline) => isInside(outline, (ax + bx) / 2 + 0.5 * x, (ay + by) / 2 + 0.5 * y));
  return dry(left) ? right : left;
}

/** How a boat lies in a berth with that side to it, amidships at its middle. */
export function lyingIn(place: Place, berth: Berth, boat: Boat, side: Side): Lying {
  const out = outOf(place, berth);
  const [[ax, ay], [bx, by]] = berth.edge_m;
  const end = endTo(berth);
  if (end) {
    const off = boat.hull.length_m / 2 + END_GAP_M;
    const bowIn = end === 'bow';
    return {
      x: (ax + bx) / 2 + off * out.x,
      y: (ay + by) / 2 + off * out.y,
      heading: bowIn ? atan2(-out.x, -out.y) : atan2(out.x, out.y),
      out,
      bowIn,
    };
  }
  // Port side to, the water lies to starboard of the boat's heading; else the other way about.
  const heading = side === 'port' ? atan2(-out.y, out.x) : atan2(out.y, -out.x);
  const fenders = boat.fenders.filter((f) => f.side === side).map((f) => f.diameter_m);
  const off = boat.hull.beam_m / 2 + (fenders.length > 0 ? Math.max(...fenders) : USUAL_FENDER_M);
  const along = (bx - ax) * sin(heading) + (by - ay) * cos(heading);
  const slip = berth.kind === 'slip';
  // In a slip shorter than the boat, it lies with the end that is in just off the head of it.
  const enough = Math.abs(along) >= SLIP_LEAST_SHARE * boat.hull.length_m;
  const sticksOut =
    slip && enough
      ? Math.max(0, boat.hull.length_m / 2 + SLIP_HEAD_GAP_M - Math.abs(along) / 2)
      : 0;
  const outward = (along > 0 ? -1 : 1) * sticksOut;
  return {
    x: (ax + bx) / 2 + off * out.x + outward * sin(heading),
    y: (ay + by) / 2 + off * out.y + outward * cos(heading),
    heading,
    out,
    bowIn: slip ? along > 0 : null,
  };
}

/** What a boat would lie in were it put there, and how deep; null when it fits. */
export function stuckIn(
  { craft, shore }: Ground,
  { x, y, heading }: Lying,
): { readonly name: string; readonly deep_m: number } | null {
  const { distance, obstacle } = roomAt(craft, shore, new Set(), x, y, heading);
  if (distance >= -SQUEEZED_M) return null;
  return { name: shore.obstacles[obstacle]!.name, deep_m: -distance };
}

const DISTANCES = [3.5, 3, 4, 2.5, 5, 6];
/** How far in front of the place the boat will lie its way in ends, in lengths: off a berth alongside, before a slip's mouth. */
const FRONTS = { alongside: [0.35, 0.6, 0.9], slip: [1.05, 1.25, 1.5] };
const BEARING_STEPS = 24;
/** Points of the way that are looked at for room. */
const WAY_POINTS = 10;

export interface Ground {
  readonly craft: Craft;
  readonly shore: ObstacleSet;
}

export function groundOf(boat: Boat, place: Place): Ground {
  return { craft: assembleCraft(toBoatSpec(boat)), shore: obstacleSetOf(toObstacles(place)) };
}

/**
 * Where to begin coming in to a berth: three lengths or so off on clear water, heading for it, with clear water all the
 * way to its front; of several, against wind and current rather than with them, and with room. Null where there is none.
 */
export function startFor(
  { craft, shore }: Ground,
  lying: Lying,
  conditions: Conditions,
): Manoeuvre['start'] | null {
  const { length } = craft.spec.hull;
  const wanted = Math.max(START_ROOM_M, START_ROOM_LENGTHS * length);
  const mouth = lying.bowIn === null ? lying.out : outward(lying);
  const idle = hasDrive(craft) ? steadySpeed(craft, 1, 0) : null;
  const { wind, current } = conditions;
  let best: { start: Manoeuvre['start']; worth: number } | null = null;
  const fronts = lying.bowIn === null ? FRONTS.alongside : FRONTS.slip;
  const ways = fronts.flatMap((off) =>
    DISTANCES.map((lengths) => ({ off: off * length, lengths })),
  );
  for (const { off, lengths } of ways) {
    const front = { x: lying.x + off * mouth.x, y: lying.y + off * mouth.y };
    for (let k = 0; k < BEARING_STEPS; k++) {
      const bearing = lying.heading + (2 * Math.PI * k) / BEARING_STEPS;
      const x = front.x + lengths * length * sin(bearing);
      const y = front.y + lengths * length * cos(bearing);
      const heading = bearing + Math.PI;
      let least = Infinity;
      for (let i = 0; i <= WAY_POINTS && least >= wanted; i++) {
        const share = (0.85 * i) / WAY_POINTS;
        const px = x + share * (front.x - x);
        const py = y + share * (front.y - y);
        least = Math.min(least, roomAt(craft, shore, new Set(), px, py, heading).distance);
      }
      if (least < wanted) continue;
      const turn = Math.abs(wrapHalfTurn(lying.heading - heading));
      const headOn =
        wind.speed_mps * 0.02 * cos(radians(wind.from_deg) - heading) -
        current.speed_mps * cos(radians(current.set_deg) - heading);
      // Alongside and bow in want a shallow turn; to go astern into a slip the boat has to pass it first.
      const awkward =
        lying.bowIn === null
          ? 0.6 * turn
          : lying.bowIn
            ? 0.15 * turn
            : 0.8 * Math.abs(turn - Math.PI / 2);
      const worth =
        Math.min(least, 0.6 * length) / length + headOn - awkward - 0.08 * Math.abs(lengths - 3.5);
      if (best && best.worth >= worth) continue;
      const round = (value: number) => Math.round(value * 100) / 100;
      const start = {
        x_m: round(x),
        y_m: round(y),
        heading_deg: Math.round((degrees(heading) + 720) % 360),
        speed_mps: idle === null ? 0 : round(Math.min(idle, 1.6)),
      };
      best = { start, worth };
    }
  }
  return best?.start ?? null;
}

function outward({ heading, bowIn }: Lying) {
  const way = bowIn ? -1 : 1;
  return { x: way * sin(heading), y: way * cos(heading) };
}
