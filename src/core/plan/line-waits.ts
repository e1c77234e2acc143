import { DROP_REACH_M, CAST_OFF_S, LIFTS_OFF_N, WAITS_S, LOOKS_S } from '../policy';

/** A loop is lifted off when it has been slack enough for as long as that takes; from aboard only within reach. */
export function* untilLifted(
  crew: {
    readonly now: number;
    reading(line: number): { readonly tension: number; readonly span: number };
  },
  line: number,
  aboard: boolean,
): Generator<number, boolean> {
  const deadline = crew.now + WAITS_S;
  let since: number | null = null;
  for (;;) {
    const { tension, span } = crew.reading(line);
    const slack = tension < LIFTS_OFF_N && (!aboard || span <= DROP_REACH_M * 1.2);
    if (slack && since === null) since = crew.now;
    if (!slack) since = null;
    if (since !== null && crew.now - since >= CAST_OFF_S - 1e-6) return true;
    if (crew.now >= deadline) return false;
    yield crew.now + LOOKS_S;
  }
}
