import { stopAbreastOf } from '../../simulation';
import { markNow } from '../marks';
import { alike, helmOrder } from './definition';

/** A hand stops the boat with a point of it abreast of a mark, by neutral and the other gear. */
export const stopAbreast = helmOrder('stopAbreast', {
  parameters: { point: { kind: 'point' }, mark: { kind: 'mark' } },
  needs: 'engine',
  byEye: true,
  channel: () => ({ of: 'engine', engine: null }),
  unlike: alike,
  apply({ point, mark, eye = 1 }, state, world) {
    const { x, y } = markNow(state, mark);
    stopAbreastOf(state, world, point.x, x, y, eye);
  },
});
