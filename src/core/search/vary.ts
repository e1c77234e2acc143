import type { BoatSpec } from '../boat';
import type { RunInput, Plan, TimedOrder } from '../plan';

/** What is made otherwise to see what becomes of a manoeuvre. SI, radians. */
export interface Variation {
  /** Wind's speed times this, and veered by so much (positive clockwise). */
  readonly windTimes: number;
  readonly windVeer: number;
  /** Standard deviation of gusts over the mean; null leaves them as they are. */
  readonly gusts: number | null;
  /** Current set the same way but so much stronger (weaker, or turned, below nought), m/s. */
  readonly currentBy: number;
  /** Speed at the start so much more, m/s. */
  readonly entryBy: number;
  /** Every order but those of the first step comes so much later, s. */
  readonly late: number;
  /** Thrust of every propeller astern times this. */
  readonly asternTimes: number;
  /** What the water of worked locks does to the boat's times this: known to a half. */
  readonly waterTimes: number;
  /** Propellers turn the other way round, so that they walk to the other side. */
  readonly otherHand: boolean;
  /** Wind from the other side of the berth the boat is to lie in, or of where it lies, just as far from ahead or astern. */
  readonly otherSide: boolean;
}

export const NO_VARIATION: Variation = {
  windTimes: 1,
  windVeer: 0,
  gusts: null,
  currentBy: 0,
  entryBy: 0,
  late: 0,
  asternTimes: 1,
  waterTimes: 1,
  otherHand: false,
  otherSide: false,
};

/** Does it change anything? */
export function isVaried(variation: Variation): boolean {
  const keys = Object.keys(NO_VARIATION) as (keyof Variation)[];
  return keys.some((key) => variation[key] !== NO_VARIATION[key]);
}

const GUST_SCALE_S = 8;

function variedBoat(boat: BoatSpec, { asternTimes, otherHand }: Variation): BoatSpec {
  if (asternTimes === 1 && !otherHand) return boat;
  const drives = boat.drives.map((drive) => ({
    ...drive,
    asternEfficiency: drive.asternEfficiency * asternTimes,
    hand: otherHand ? flipped(drive.hand) : drive.hand,
  }));
  return { ...boat, drives };
}

function flipped(hand: 1 | -1): 1 | -1 {
  return hand === 1 ? -1 : 1;
}

function later(orders: readonly TimedOrder[], by: number): readonly TimedOrder[] {
  return orders.map((timed) => ({ ...timed, after: timed.after + by }));
}

function latePlan(plan: Plan, late: number): Plan {
  if (late === 0) return plan;
  const steps = plan.steps.map((step, i) =>
    i === 0 ? step : { ...step, orders: later(step.orders, late) },
  );
  return { ...plan, steps };
}

function variedLocks({ locks }: RunInput, { waterTimes }: Variation): Partial<RunInput> {
  return locks && waterTimes !== 1 ? { locks: locks.map((lock) => ({ ...lock, waterTimes })) } : {};
}

/** The same manoeuvre otherwise. Orders stay what they were; only what is named in the variation differs. */
export function vary(input: RunInput, variation: Variation): RunInput {
  const { weather, start, goal } = input;
  const along = goal.is === 'lie' ? goal.heading : start.heading;
  const windFrom = variation.otherSide ? 2 * along - weather.windFrom : weather.windFrom;
  const boat = variedBoat(input.boat, variation);
  const gusts =
    variation.gusts === null
      ? weather.gusts
      : {
          intensity: variation.gusts,
          timeScale: weather.gusts?.timeScale ?? GUST_SCALE_S,
          seed: weather.gusts?.seed ?? 1,
        };
  return {
    ...input,
    boat,
    weather: {
      ...weather,
      windSpeed: weather.windSpeed * variation.windTimes,
      windFrom: windFrom + variation.windVeer,
      currentSpeed: weather.currentSpeed + variation.currentBy,
      ...(gusts ? { gusts } : {}),
    },
    start: { ...start, speed: start.speed + variation.entryBy },
    plan: latePlan(input.plan, variation.late),
    ...variedLocks(input, variation),
  };
}
