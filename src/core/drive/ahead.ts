import type { HullPart, TouchGrade } from '../monitors';
import { atan2 } from '../math';
import { Episode, Surroundings } from '../search';
import { windAt } from '../simulation';
import type { Drive } from './drive';
import { isUnderWay, trafficGap } from './traffic';

/** Where she comes to be if nothing is changed: controls as they are, the wind as it blows now. */
export interface Ahead {
  /** Seconds from now, and where she is then: m, radians. */
  readonly poses: readonly {
    readonly after: number;
    readonly x: number;
    readonly y: number;
    readonly heading: number;
  }[];
  /** What she touches first on that way; null when nothing. Seconds from now, m/s. */
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
  const episode = new Episode(about, state);
  // A helm that steers by itself goes on doing so; one that only holds the wheel does not.
  let met: Ahead['touch'] = null;
  const poses = AHEAD_S.map((after, i) => {
    for (let gone = AHEAD_S[i - 1] ?? 0; gone < after; gone++) {
      episode.until(() => false, 1);
      met ??= metBy(drive, episode, state.time);
    }
    return { after, x: episode.x, y: episode.y, heading: episode.heading };
  });
  const first = episode.touches[0];
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
function metBy(drive: Drive, episode: Episode, from: number): Ahead['touch'] {
  const { deck } = drive.world.craft.spec.hull;
  for (const one of drive.traffic) {
    // Who has not begun to move yet is not expected to.
    const seen = isUnderWay(one, from) ? episode.time : from;
    const gap = trafficGap(one, seen, deck, episode);
    if (gap >= 0 || episode.time === from) continue;
    const speed = episode.overGround;
    return { after: episode.time - from, name: one.name, part: null, speed, grade: 'hard' };
  }
  return null;
}
