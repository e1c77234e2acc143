import type { SimState } from '../../simulation';
import { distanceAhead } from '../measures';
import { cue } from './definition';

/** A mark comes square to a boat's heading at a point of it. */
export const abeam = cue('abeam', {
  parameters: { point: { kind: 'anyPoint' }, mark: { kind: 'mark' } },
  arm({ point, mark }, armed) {
    const ahead = (s: SimState) => distanceAhead(s, point, mark);
    const side = ahead(armed) >= 0 ? 1 : -1;
    return { level: (s) => -side * ahead(s) };
  },
});
