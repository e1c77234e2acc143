import type { HullPart, TouchGrade } from '../debrief';
import { atan2 } from '../math';
import { Episode, Surroundings } from '../search';
import { windAt } from '../sim';
import type { RunInput } from '../score';
import type { Drive } from './drive';

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
    readonly part: HullPart;
    readonly speed: number;
    readonly grade: TouchGrade;
  } | null;
}

/** Moments looked at, s from now. */
export const AHEAD_S = [10, 20, 30] as const;

/** Looks ahead from where a drive stands. Nobody aboard knows of a gust to come, nor of anything else that will befall. */
export function lookAhead(input: RunInput, drive: Drive): Ahead {
  const { state, world } = drive;
  const wind = new Float64Array(2);
  windAt(wind, world.environment, state.time);
  const { gusts: _gusts, windStrength: _strength, windVeer: _veer, ...weather } = input.weather;
  const { streamEast, streamNorth } = world.environment;
  const about = new Surroundings({
    ...input,
    weather: {
      ...weather,
      windFrom: wind[0]!,
      windSpeed: wind[1]!,
      streamSet: atan2(streamEast, streamNorth),
      streamSpeed: Math.sqrt(streamEast * streamEast + streamNorth * streamNorth),
    },
  });
  const episode = new Episode(about, state);
  // A helm that steers by itself goes on doing so; one that only holds the wheel does not.
  const poses = AHEAD_S.map((after, i) => {
    episode.until(() => false, after - (AHEAD_S[i - 1] ?? 0));
    return { after, x: episode.x, y: episode.y, heading: episode.heading };
  });
  const first = episode.touches[0];
  return {
    poses,
    touch: first
      ? {
          after: first.time - state.time,
          name: first.name,
          part: first.part,
          speed: first.speed,
          grade: first.grade,
        }
      : null,
  };
}
