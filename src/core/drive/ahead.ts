import type { HullPart, TouchGrade } from '../monitors';
import { atan2 } from '../math';
import { Rollout, Surroundings } from '../search';
import { windAt } from '../simulation';
import type { Drive } from './drive';
import { isUnderWay, trafficGap } from './traffic';

/** Where the boat comes to be if nothing is changed: controls as they are, the wind as it blows now. */
export interface Ahead {
  /** Seconds from now, and where the boat is then: m, radians. */
  readonly poses: readonly {
    readonly after: number;
    readonly x: number;
    readonly y: number;
    readonly heading: number;
  }[];
  /** What the boat touches first on that way; null when nothing. Seconds from now, m/s. */
  readonly touch: {
    readonly after: number;
    readonly name: string;
    /** null for somebody under way. */
    readonly part: HullPart | null;
    readonly speed: number;
    readonly grade: TouchGrade;
  } | null;
}

/** Moments looked at, s from now. */
export const AHEAD_S = [10, 20, 30] as const;

/** Looks ahead from where a drive stands. Nobody aboard knows of a gust to come, nor of anything else that will befall. */
export function lookAhead(drive: Drive): Ahead {
  const { state, world, input } = drive;
  const wind = new Float64Array(2);
  windAt(wind, world.environment, state.time);
  const { gusts: _gusts, windStrength: _strength, windVeer: _veer, ...weather } = input.weather;
  const { currentEast, currentNorth } = world.environment;
  const about = new Surroundings({
    ...input,
    weather: {
      ...weather,
      windFrom: wind[0]!,
      windSpeed: wind[1]!,
      currentSet: atan2(currentEast, currentNorth),
      currentSpeed: Math.sqrt(currentEast * currentEast + currentNorth * currentNorth),
    },
  });
  const rollout = new Rollout(about, state);
  // A helm that steers by itself goes on doing so; one that only holds the wheel does not, nor does whoever works the boat: what they do next is not known.
  if (rollout.state.hand.task === 'work') rollout.state.hand.active = false;
  let met: Ahead['touch'] = null;
  const poses = AHEAD_S.map((after, i) => {
    for (let gone = AHEAD_S[i - 1] ?? 0; gone < after; gone++) {
      rollout.until(() => false, 1);
      met ??= metBy(drive, rollout, state.time);
    }
    return { after, x: rollout.x, y: rollout.y, heading: rollout.heading };
  });
  const first = rollout.touches[0];
  const touch = first && {
    after: first.time - state.time,
    name: first.name,
    part: first.part,
    speed: first.speed,
    grade: first.grade,
  };
  const nearer = met as Ahead['touch'];
  return { poses, touch: touch && !(nearer && nearer.after < touch.after) ? touch : nearer };
}

/** Somebody under way who is run into by then, going on as they do now; they are seen where they are. */
function metBy(drive: Drive, rollout: Rollout, from: number): Ahead['touch'] {
  const { deck } = drive.world.craft.spec.hull;
  for (const one of drive.traffic) {
    // Who has not begun to move yet is not expected to.
    const seen = isUnderWay(one, from) ? rollout.time : from;
    const gap = trafficGap(one, seen, deck, rollout);
    if (gap >= 0 || rollout.time === from) continue;
    const speed = rollout.overGround;
    return { after: rollout.time - from, name: one.name, part: null, speed, grade: 'hard' };
  }
  return null;
}
