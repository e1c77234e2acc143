import { crossing, leaving, type Traffic } from '@/core/drive';
import { Random } from '@/core/math';
import type { Run } from '@/core/plan';
import { TRAFFIC_SEEN_S } from '@/core/policy';
import {
  toObstacles,
  trafficDocument,
  type ManoeuvreFile,
  type SurpriseDocument,
} from '@/document';

/** Kinds to choose from: somebody under way is a boat that leaves, or a paddler. */
export type SurpriseIs = Exclude<SurpriseDocument['is'], 'traffic'> | 'boatLeaves' | 'paddler';

/** Where the boat goes as the plan is played: what others get in the way of. */
export type PlannedWay = Pick<Run, 'trace' | 'duration'>;

/** Surprises in words, before they have come. */
export const SURPRISE_WORDS: Readonly<Record<SurpriseIs, string>> = {
  gust: 'a gust',
  veer: 'the wind veers or backs',
  current: 'the current turns',
  noAstern: 'a gear will not go astern',
  thrusterQuits: 'a thruster quits',
  joystickFails: 'the joystick fails',
  lineLate: 'the crew is late with a line',
  lineMissed: 'a line is missed',
  boatLeaves: 'another boat leaves its berth',
  paddler: 'a paddler comes across',
};

/** Boats about that could leave: not those it is to lie at, nor those shut in. */
function leavers({ place, berth }: ManoeuvreFile, at: number): Traffic[] {
  const obstacles = toObstacles(place);
  return place.features.flatMap((feature) =>
    feature.kind === 'boat' && !berth.includes(feature.id)
      ? (leaving(obstacles, feature.id, at) ?? [])
      : [],
  );
}

/** The one that starts nearest to where the boat is at a moment of its way. */
function nearestLeaver(file: ManoeuvreFile, { trace }: PlannedWay, at: number): Traffic | null {
  const i = trace.time.findLastIndex((time) => time <= at);
  const off = ({ frames }: Traffic) =>
    Math.hypot(frames[0]!.x - trace.x[Math.max(0, i)]!, frames[0]!.y - trace.y[Math.max(0, i)]!);
  return leavers(file, at).reduce<Traffic | null>(
    (best, one) => (!best || off(one) < off(best) ? one : best),
    null,
  );
}

/** A paddler who comes across the boat's way so much later. */
function paddlerAcross(file: ManoeuvreFile, { trace }: PlannedWay, at: number): Traffic | null {
  const i = trace.time.findLastIndex((time) => time <= at + TRAFFIC_SEEN_S);
  if (i < 0) return null;
  const her = { x: trace.x[i]!, y: trace.y[i]!, heading: trace.heading[i]! };
  return crossing(toObstacles(file.place), her, at + TRAFFIC_SEEN_S);
}

/** Those that can befall this boat on this manoeuvre; who gets in the way depends on the way it is to go. */
export function possibleSurprises(file: ManoeuvreFile, way: PlannedWay | null): SurpriseIs[] {
  const { boat, plan } = file;
  const rigged = plan.lines.some(({ of, anchor }) => of === undefined && !anchor);
  return [
    'gust',
    'veer',
    'current',
    ...(boat.drives.length > 0 ? (['noAstern'] as const) : []),
    ...(boat.thrusters.length > 0 ? (['thrusterQuits'] as const) : []),
    ...(boat.joystick ? (['joystickFails'] as const) : []),
    ...(rigged ? (['lineLate', 'lineMissed'] as const) : []),
    ...(way && leavers(file, 0).length > 0 ? (['boatLeaves'] as const) : []),
    ...(way && paddlerAcross(file, way, 0.3 * way.duration) ? (['paddler'] as const) : []),
  ];
}

const one = <T>(random: Random, list: readonly T[]): T =>
  list[Math.min(list.length - 1, Math.floor(random.uniform() * list.length))]!;
const between = (random: Random, least: number, most: number, digits = 1) =>
  Number((least + random.uniform() * (most - least)).toFixed(digits));

/** One of a kind, of a size and at a moment that chance has chosen. Sizes are what befalls people: judgement. */
function made(
  is: SurpriseIs,
  at_s: number,
  random: Random,
  file: ManoeuvreFile,
  way: PlannedWay | null,
): SurpriseDocument | null {
  const { boat } = file;
  switch (is) {
    case 'gust':
      return { is, at_s, by: between(random, 0.4, 1, 2), lasts_s: between(random, 5, 15) };
    case 'veer': {
      const by_deg = between(random, 20, 50, 0) * (random.uniform() < 0.5 ? -1 : 1);
      return { is, at_s, by_deg };
    }
    case 'current':
      return {
        is,
        at_s,
        set_deg: between(random, 0, 359, 0),
        speed_mps: between(random, 0.15, 0.5, 2),
        over_s: between(random, 15, 40, 0),
      };
    case 'noAstern':
      return { is, at_s, engine: one(random, boat.drives).name };
    case 'thrusterQuits':
      return { is, at_s, thruster: one(random, boat.thrusters).name };
    case 'joystickFails':
      return { is, at_s };
    case 'lineLate':
      return { is, at_s, by_s: between(random, 5, 12, 0) };
    case 'lineMissed':
      return { is, at_s };
    case 'boatLeaves': {
      const traffic = way && nearestLeaver(file, way, at_s);
      return traffic && trafficDocument(traffic, at_s);
    }
    case 'paddler': {
      const traffic = way && paddlerAcross(file, way, at_s);
      return traffic && trafficDocument(traffic, at_s);
    }
  }
}

/**
 * Surprises of the kinds chosen, at moments chance chooses within a manoeuvre's length; the same for the same seed.
 * What may befall more than once in a day does so once here.
 *
 * @param length how long the manoeuvre takes as it is written, s
 */
export function surprisesOf(
  kinds: readonly SurpriseIs[],
  seed: number,
  length: number,
  file: ManoeuvreFile,
  way: PlannedWay | null,
): SurpriseDocument[] {
  const random = new Random(seed);
  return kinds
    .flatMap((is) => made(is, between(random, 0.1 * length, 0.8 * length), random, file, way) ?? [])
    .sort((a, b) => a.at_s - b.at_s);
}

/** Any of those that are possible: one or two, by chance. */
export function anySurprises(
  seed: number,
  length: number,
  file: ManoeuvreFile,
  way: PlannedWay | null,
): SurpriseDocument[] {
  const random = new Random(seed);
  const possible = possibleSurprises(file, way);
  const first = one(random, possible);
  const rest = possible.filter((is) => is !== first);
  const kinds = random.uniform() < 0.5 || rest.length === 0 ? [first] : [first, one(random, rest)];
  return surprisesOf(kinds, seed + 1, length, file, way);
}
