/** One number of a search: where it begins, how far it is first moved, and its bounds. */
export interface Tunable {
  readonly value: number;
  readonly step: number;
  readonly least: number;
  readonly most: number;
}

export interface PatternState {
  readonly values: readonly number[];
  readonly cost: number;
  readonly tries: number;
}

const HALVINGS = 4;

/**
 * Pattern search (Hooke & Jeeves 1961): each number is moved a step up or down if that costs less; steps that helped
 * are made again together; when none helps, all are halved. Ends after four halvings or `most` tries. Deterministic;
 * a generator, that it can be shown and stopped.
 *
 * @param cost of the numbers, less being better
 */
export function* patternSearch(
  tunables: readonly Tunable[],
  cost: (values: readonly number[]) => number,
  most: number,
): Generator<PatternState> {
  const held = (value: number, i: number) =>
    Math.max(tunables[i]!.least, Math.min(tunables[i]!.most, value));
  let best = tunables.map(({ value }, i) => held(value, i));
  let least = cost(best);
  let tries = 1;
  yield { values: best, cost: least, tries };
  let halved = 0;
  let scale = 1;
  while (halved <= HALVINGS && tries < most && tunables.length > 0) {
    const before = best;
    for (let i = 0; i < tunables.length && tries < most; i++) {
      for (const way of [1, -1]) {
        const moved = best.slice();
        moved[i] = held(best[i]! + way * scale * tunables[i]!.step, i);
        if (moved[i] === best[i] || tries >= most) continue;
        const found = cost(moved);
        tries += 1;
        if (found < least - 1e-9) {
          best = moved;
          least = found;
          yield { values: best, cost: least, tries };
          break;
        }
        yield { values: best, cost: least, tries };
      }
    }
    if (best === before) {
      halved += 1;
      scale /= 2;
      continue;
    }
    if (tries >= most) return;
    const again = best.map((value, i) => held(2 * value - before[i]!, i));
    const found = cost(again);
    tries += 1;
    if (found < least - 1e-9) {
      best = again;
      least = found;
    }
    yield { values: best, cost: least, tries };
  }
}
