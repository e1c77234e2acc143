import type { Recording } from '../drive';
import type { Order } from '../plan';

const DEG = Math.PI / 180;

export const wheel = (degrees: number): Order => ({ do: 'wheel', angle: degrees * DEG });
export const engine = (gear: -1 | 0 | 1, throttle = 0): Order => ({
  do: 'engine',
  engine: null,
  gear,
  throttle,
});

/** A recording of what was done at which second, driven for so long and then done. */
export function recordingOf(
  seconds: number,
  done: readonly (readonly [at: number, ...orders: Order[]])[],
  rest: Partial<Recording> = {},
): Recording {
  const inputs = done
    .flatMap(([at, ...orders]) => orders.map((order) => ({ timestep: Math.round(at * 10), order })))
    .sort((a, b) => a.timestep - b.timestep);
  return {
    inputs,
    timesteps: Math.round(seconds * 10),
    end: 'done',
    surprises: [],
    skips: [],
    ...rest,
  };
}
