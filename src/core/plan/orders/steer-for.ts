import { steerFor as steerForPlace } from '../../simulation';
import { markNow } from '../marks';
import { alike, helmOrder } from './definition';

/** The helm keeps an end of the boat pointing at a mark. */
export const steerFor = helmOrder('steerFor', {
  parameters: {
    mark: { kind: 'mark' },
    /** The end that is to point there: the stern, going astern. */
    first: { kind: 'choice', of: ['bow', 'stern'], fallback: 'bow' },
  },
  needs: 'steering',
  channel: () => ({ of: 'wheel' }),
  unlike: alike,
  apply({ mark, first }, state) {
    const { x, y } = markNow(state, mark);
    steerForPlace(state, x, y, first === 'stern');
  },
});
