import { orderEngine, othersOf, steerFor, steerHeading } from '../../simulation';
import { markNow } from '../marks';
import { otherOrder } from './definition';

/** Another boat gets under way: engines, and a heading its own helm keeps or a mark its bow is kept on, if one is told. */
export const other = otherOrder('other', {
  parameters: {
    boat: { kind: 'boat' },
    gear: { kind: 'gear' },
    throttle: { kind: 'share', least: 0, most: 1, fallback: 0 },
    heading: { kind: 'heading', optional: 'null' },
    mark: { kind: 'mark', optional: 'nothing' },
  },
  notBoth: {
    of: ['heading', 'mark'],
    says: 'the boat keeps a heading or steers for a mark; leave out one of them',
  },
  apply({ boat, gear, throttle, heading, mark }, state, world) {
    const found = othersOf(world)[boat - 1];
    const now = state.others[boat - 1];
    if (!found || !now) return;
    const { drives } = found.world.craft.spec;
    now.engines.forEach((engine, i) => orderEngine(engine, drives[i]!, gear, throttle));
    if (mark) {
      const { x, y } = markNow(state, mark);
      steerFor(now, x, y, false);
    } else if (heading !== null) steerHeading(now, heading);
  },
});
