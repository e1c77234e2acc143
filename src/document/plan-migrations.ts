import { changed, each, isRecord, renamed, type Json } from './migrate';

/** An order of the first version: one who stepped said where to, and a place aboard or ashore was `at`. */
export function order1to2(order: Json): Json {
  if (order.do === 'go') return renamed(order, { at: 'point' });
  if (order.do !== 'step') return order;
  const { to, ...rest } = order;
  if (to === 'ashore') return renamed({ ...rest, do: 'stepAshore' }, { at: 'mark' });
  return renamed({ ...rest, do: 'stepAboard' }, { at: 'point' });
}

function cue1to2(cue: unknown): unknown {
  if (!isRecord(cue)) return cue;
  if (cue.is === 'after') return renamed(cue, { seconds: 'time_s' });
  return changed(cue, 'of', (parts) => each(parts, cue1to2));
}

const wayOut1to2 = (wayOut: unknown): unknown =>
  isRecord(wayOut)
    ? changed(renamed(wayOut, { say: 'note', take: 'automatic' }), 'orders', (orders) =>
        each(orders, order1to2),
      )
    : wayOut;

function step1to2(step: Json): Json {
  const cued = changed(step, 'cue', cue1to2);
  const ordered = changed(cued, 'orders', (orders) => each(orders, order1to2));
  return changed(ordered, 'wayOut', wayOut1to2);
}

/** The plan of the first version, which was called a score made of beats. */
export function plan1to2(score: unknown): unknown {
  if (!isRecord(score)) return score;
  const plan = changed(renamed(score, { beats: 'steps' }), 'steps', (steps) =>
    each(steps, step1to2),
  );
  return changed(plan, 'end', (end) => (isRecord(end) ? changed(end, 'cue', cue1to2) : end));
}
