import { cos, sin } from '../../math';
import { keepLine as keepOnLine } from '../../simulation';
import { markNow } from '../marks';
import { alike, helmOrder } from './definition';

/** The helm keeps the boat on a line past a mark, ahead or astern, whatever sets it aside. */
export const keepLine = helmOrder('keepLine', {
  parameters: {
    mark: { kind: 'mark' },
    /** How far the mark is to lie to starboard of midships' way. */
    off: {
      kind: 'distance',
      lateral: true,
      least: -200,
      most: 200,
      tune: () => ({ step: 0.5, least: -200, most: 200, decimals: 1 }),
    },
    /** Where the boat points on the line. */
    heading: { kind: 'heading' },
    way: { kind: 'choice', of: ['ahead', 'astern'], fallback: 'ahead' },
    /** Thrusters as well, where the wheel is not enough. */
    thrusters: { kind: 'flag', fallback: false },
  },
  needs: 'steering',
  byEye: true,
  channel: () => ({ of: 'wheel' }),
  unlike: alike,
  apply({ mark, off, heading, way, thrusters }, state) {
    const { x, y } = markNow(state, mark);
    const place = { x: x - off * cos(heading), y: y + off * sin(heading) };
    keepOnLine(state, place.x, place.y, heading, way === 'astern', thrusters);
  },
});
