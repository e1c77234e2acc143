import { cos, sin } from '../../math';
import { X, Y } from '../../simulation';
import { markNow } from '../marks';
import { expectation } from './definition';

/** Midships lies on a line past a mark, to either side by no more than so much. */
export const onLine = expectation('onLine', {
  parameters: {
    mark: { kind: 'mark' },
    /** How far the mark is to lie to starboard of midships. */
    off: { kind: 'distance', lateral: true, least: -200, most: 200 },
    /** Where the boat points on the line. */
    heading: { kind: 'heading' },
    within: { kind: 'distance', least: 0.05, most: 200 },
  },
  look({ mark, off, heading, within }, state) {
    const { x, y } = markNow(state, mark);
    const { motion } = state;
    const aside = (x - motion[X]!) * cos(heading) - (y - motion[Y]!) * sin(heading);
    const found = Math.abs(aside - off);
    return { met: found <= within, found };
  },
});
