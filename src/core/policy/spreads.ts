/**
 * Likely error of what the model says, as a share, by kind of trial (docs/physics.md, measured.md). Until draws of boat and day
 * are carried through every figure, it is told beside them.
 */
export const TRIAL_SPREADS = {
  speed: 0.15,
  way: 0.25,
  turn: 0.25,
  walk: 0.5,
  wind: 0.2,
  current: 0.25,
  drift: 0.25,
  hold: 0.25,
  /** Of where a boat pivots: resistance to turning counts as well. */
  pivot: 0.3,
} as const;
