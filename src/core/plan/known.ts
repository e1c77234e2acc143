/**
 * How far figures of a boat or a day may be from what they are taken to be, where somebody knows: deviations. Shares of the figure; wind's
 * and current's directions in rad, the wind's centre in lengths. What is not given is as far out as a spread says.
 */
export interface Known {
  readonly windSpeed?: number;
  readonly windFrom?: number;
  readonly current?: number;
  readonly currentSet?: number;
  readonly thrust?: number;
  readonly thrustAstern?: number;
  readonly propWalk?: number;
  readonly windForce?: number;
  readonly windCentre?: number;
  readonly hullDrag?: number;
}
