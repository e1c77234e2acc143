import { alike, helmOrder } from './definition';
import { workTo } from './work-in';

/** The boat is worked by short bursts ahead and astern until it is clear of everything by a distance. */
export const workClear = helmOrder('workClear', {
  parameters: {
    distance: { kind: 'distance', least: 0.2, most: 100 },
    /** Way to have at the most. */
    most: { kind: 'speed', least: 0.2, most: 3, fallback: 1 },
    /** Thrusters as well. */
    thrusters: { kind: 'flag', fallback: false },
    /** By the gears alone, the throttle never over idle. */
    idle: { kind: 'flag', fallback: false },
  },
  needs: 'engine',
  watches: true,
  channel: () => ({ of: 'engine', engine: null }),
  unlike: alike,
  apply: ({ distance, most, thrusters, idle, ...eye }, state, world) =>
    workTo(state, world, { is: 'clear', distance }, { thrusters, idle, most }, eye),
});
