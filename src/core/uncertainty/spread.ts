import type { Known } from '../plan';
import { normal, uniform, type Distribution } from './distribution';

/** Offsets of where a manoeuvre starts: along and across the boat, m, heading, rad, speed, m/s. */
export interface StartSpread {
  readonly along: Distribution;
  readonly across: Distribution;
  readonly heading: Distribution;
  readonly speed: Distribution;
}

/**
 * What a manoeuvre may meet: how far day, boat, start and person may be from what they are taken to be. SI and radians; factors
 * multiply, offsets are added. A part that is null is as it is told.
 */
export interface Spread {
  /** Mean wind: a factor, and an offset of where it comes from. */
  readonly windSpeed: Distribution | null;
  readonly windFrom: Distribution | null;
  /** What a calm comes to, from any direction, m/s. */
  readonly calm: Distribution | null;
  /** Gusts where there is wind, each run its own: deviation over mean, and time scale, s. */
  readonly gusts: { readonly intensity: number; readonly timeScale: number } | null;
  readonly current: Distribution | null;
  readonly currentSet: Distribution | null;
  /** Thrust ahead and astern together, and astern besides. */
  readonly thrust: Distribution | null;
  readonly thrustAstern: Distribution | null;
  readonly propWalk: Distribution | null;
  readonly windForce: Distribution | null;
  /** Centre of the wind's push, as a share of the length forward. */
  readonly windCentre: Distribution | null;
  readonly hullDrag: Distribution | null;
  /** What the water of a worked lock does to a boat in it. */
  readonly lockWater: Distribution | null;
  /** Where it starts: arriving from open water, or leaving from where the boat lies. */
  readonly start: { readonly arriving: StartSpread; readonly leaving: StartSpread } | null;
  /** Whether a throw is caught: each run its own, as likely as the model says. */
  readonly throws: true | null;
  /** How late a person is with each order, s, drawn anew for each. */
  readonly lateness: Distribution | null;
  /** What is judged by eye: a factor of distances, offsets of angles, rad, and of speeds, m/s; one draw a judgement. */
  readonly judgement: {
    readonly distance: Distribution;
    readonly angle: Distribution;
    readonly speed: Distribution;
  } | null;
  /** What wash does, of screws and of what passes. */
  readonly wash: Distribution | null;
}

export type Source = keyof Spread;

const DEG = Math.PI / 180;

/**
 * The standard spread: judgement from practice, for a boat whose figures were estimated, a forecast, and a person who does not do it
 * every day. What is measured is narrower.
 */
export const STANDARD_SPREAD: Spread = {
  windSpeed: normal(1, 0.2, 0),
  windFrom: normal(0, 10 * DEG),
  calm: uniform(0, 1),
  gusts: { intensity: 0.2, timeScale: 8 },
  current: normal(1, 0.25, 0),
  currentSet: normal(0, 7 * DEG),
  thrust: normal(1, 0.15, 0.4),
  thrustAstern: normal(1, 0.1, 0.4),
  propWalk: normal(1, 0.5, 0),
  windForce: normal(1, 0.1, 0.5),
  windCentre: normal(0, 0.02),
  hullDrag: normal(1, 0.15, 0.5),
  lockWater: uniform(0.5, 1.5),
  start: {
    arriving: {
      along: normal(0, 1),
      across: normal(0, 0.7),
      heading: normal(0, 4 * DEG),
      speed: normal(0, 0.15),
    },
    leaving: {
      along: normal(0, 0.3),
      across: normal(0, 0),
      heading: normal(0, DEG),
      speed: normal(0, 0),
    },
  },
  throws: true,
  lateness: uniform(0.3, 1.5),
  judgement: {
    // Nobody takes a distance for less than a twentieth of what it is.
    distance: normal(1, 0.1, 0.05),
    angle: normal(0, 3 * DEG),
    speed: normal(0, 0.05),
  },
  // Known to little better than its order of size.
  wash: uniform(0.4, 1.6),
};

/** Every part of a spread, in the order draws are made of them. */
export const SOURCES = Object.keys(STANDARD_SPREAD) as readonly Source[];

/** Everything as it is told. */
export const NO_SPREAD = Object.fromEntries(
  SOURCES.map((source) => [source, null]),
) as unknown as Spread;

/** A spread with some of its parts as they are told; or with those alone. */
export const without = (spread: Spread, sources: readonly Source[]): Spread => ({
  ...spread,
  ...Object.fromEntries(sources.map((source) => [source, null])),
});
export const only = (spread: Spread, sources: readonly Source[]): Spread =>
  without(
    spread,
    SOURCES.filter((source) => !sources.includes(source)),
  );

/**
 * A spread for a boat and a day of which more is known, or less: those parts are normal, about the same middle, with the deviation known. Parts
 * that are as they are told stay so.
 */
export function spreadFor(spread: Spread, known: Known | undefined): Spread {
  if (!known) return spread;
  const parts = Object.entries(known) as [keyof Known, number][];
  return {
    ...spread,
    ...Object.fromEntries(
      parts.flatMap(([source, sd]) => {
        const of = spread[source];
        if (of === null) return [];
        const middle = of.is === 'normal' ? of.mean : (of.least + of.most) / 2;
        return [[source, normal(middle, sd, of.is === 'normal' ? of.atLeast : undefined)]];
      }),
    ),
  };
}
