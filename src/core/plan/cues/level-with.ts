import { cos, sin } from '../../math';
import { pointOnWater } from '../../simulation';
import { markNow } from '../marks';
import { boatOf } from '../measures';
import { cue } from './definition';

/** A point of a boat is level with a mark, or so far short of it, going one way: whatever the boat points to meanwhile. */
export const levelWith = cue('levelWith', {
  parameters: {
    point: { kind: 'anyPoint' },
    mark: { kind: 'mark' },
    /** The way it goes: along a slip, a lane or a wall. */
    heading: { kind: 'heading' },
    short: {
      kind: 'distance',
      least: 0,
      most: 500,
      fallback: 0,
      tune: (short) => ({ step: Math.max(0.5, 0.2 * short), least: 0, most: 500, decimals: 1 }),
    },
  },
  arm: ({ point, mark, heading, short }) => ({
    level(s) {
      const at = pointOnWater(boatOf(s, point), point.x, point.y);
      const { x, y } = markNow(s, mark);
      return short - (x - at.x) * sin(heading) - (y - at.y) * cos(heading);
    },
  }),
});
