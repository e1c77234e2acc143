import type { RunInput } from '../plan';
import { sloop } from './boats';
import { inputOf, stepOf } from './manoeuvre';
import { CALM } from './rig';

const START = { is: 'start' } as const;

/** Off to the north-east on open water, in wind and current: a turn by the heading, then neutral by a distance. */
export function openWater(): RunInput {
  const mark = { name: 'mark', x: 30, y: 15 };
  const steps = [
    stepOf(START, [
      { after: 0, order: { do: 'engine', engine: null, gear: 1, throttle: 0.3 } },
      { after: 2, order: { do: 'wheel', angle: 0.4 } },
    ]),
    stepOf({ is: 'turned', by: 0.5 }, [{ after: 0, order: { do: 'wheel', angle: 0 } }]),
    stepOf({ is: 'within', point: { name: 'bow', x: 4.5, y: 0 }, mark, distance: 18 }, [
      { after: 0, order: { do: 'engine', engine: null, gear: -1, throttle: 0.3 } },
    ]),
  ];
  return {
    ...inputOf(
      steps,
      { is: 'after', time: 6 },
      {
        boat: sloop(),
        weather: { ...CALM, windFrom: 1, windSpeed: 5, currentSet: 2, currentSpeed: 0.3 },
        start: { x: 0, y: 0, heading: Math.PI / 4, speed: 0.5 },
      },
    ),
  };
}
