import { cos, sin } from '../../math';
import { markNow } from '../marks';
import { alike, helmOrder } from './definition';
import { LIE_PARAMETERS } from './lie-parameters';
import { SPOT_MANNER, workOnSpot } from './on-the-spot';

/** From abreast, parallel and a beam or two off: the boat is let in sideways by wind, current or its own means until a point of it lies by a mark, and kept parallel and in its place meanwhile. */
export const slideIn = helmOrder('slideIn', {
  parameters: {
    ...LIE_PARAMETERS,
    ...SPOT_MANNER,
  },
  needs: 'engine',
  watches: true,
  channel: () => ({ of: 'engine', engine: null }),
  unlike: alike,
  apply({ point, mark, within, heading, headingWithin, thrusters, idle, ...eye }, state, world) {
    const { x, y } = markNow(state, mark);
    const s = sin(heading);
    const c = cos(heading);
    const at = {
      x: x - point.x * s - point.y * c,
      y: y - point.x * c + point.y * s,
      heading,
    };
    workOnSpot(state, world, { is: 'lie', at, within, headingWithin }, { thrusters, idle }, eye);
  },
});
