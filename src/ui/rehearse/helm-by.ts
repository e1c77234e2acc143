/** Whose the helm is: the user's, the app's, or the app's but for one step of the plan, by its place. */
export type HelmBy = 'you' | 'app' | number;

/** Does the app steer while the plan is at a step (−1 before the first)? */
export const appSteers = (by: HelmBy, step: number): boolean =>
  by === 'app' || (typeof by === 'number' && by !== step);
