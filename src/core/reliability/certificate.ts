import type { Outcome } from '../plan';
import { quantilesOf, shareOf, type Share } from './share';
import { holds, type Trial } from './trial';

/** Shares at which figures are told. */
export const QUANTILES = [0.05, 0.25, 0.5, 0.75, 0.95] as const;

/** A way in which runs fail: how they end, what on, and at which step; and how many of all do. */
export interface Cause {
  readonly outcome: Outcome;
  /** What was touched hard; null where that is not how they end. */
  readonly on: string | null;
  readonly part: string | null;
  /** The step most of them were at. */
  readonly step: number;
  readonly share: number;
}

/** How sure a manoeuvre is. */
export interface Certificate extends Share {
  readonly outcomes: Readonly<Partial<Record<Outcome, number>>>;
  /** The commonest first. */
  readonly causes: readonly Cause[];
  /** Of all runs: least clearance, m, hardest touch, m/s, load of a line over what parts it; of those that hold, how long they take, s. */
  readonly quantiles: Readonly<
    Record<'clearance' | 'touch' | 'load' | 'seconds', readonly number[] | null>
  >;
}

function causesOf(failed: readonly Trial[], runs: number): Cause[] {
  const by = new Map<string, Trial[]>();
  for (const trial of failed) {
    const on = trial.outcome === 'hard touch' ? trial.touch : null;
    const key = [trial.outcome, on?.name ?? '', on?.part ?? ''].join('\n');
    by.set(key, [...(by.get(key) ?? []), trial]);
  }
  const causes = [...by.values()].map((trials): Cause => {
    const { outcome, touch } = trials[0]!;
    const on = outcome === 'hard touch' ? touch : null;
    const at = new Map<number, number>();
    for (const { step } of trials) at.set(step, (at.get(step) ?? 0) + 1);
    const [step] = [...at].reduce((a, b) => (b[1] > a[1] ? b : a));
    return {
      outcome,
      on: on?.name ?? null,
      part: on?.part ?? null,
      step,
      share: trials.length / runs,
    };
  });
  return causes.sort((a, b) => b.share - a.share || a.step - b.step);
}

/** What some runs of a manoeuvre come to. */
export function certificateOf(trials: readonly Trial[]): Certificate {
  const runs = trials.length;
  const held = trials.filter(holds);
  const outcomes: Partial<Record<Outcome, number>> = {};
  for (const { outcome } of trials) outcomes[outcome] = (outcomes[outcome] ?? 0) + 1 / runs;
  return {
    ...shareOf(held.length, runs),
    outcomes,
    causes: causesOf(
      trials.filter((trial) => !holds(trial)),
      runs,
    ),
    quantiles: {
      clearance: quantilesOf(
        trials.flatMap(({ clearance }) => clearance?.distance ?? []),
        QUANTILES,
      ),
      touch: quantilesOf(
        trials.map(({ touch }) => touch?.speed ?? 0),
        QUANTILES,
      ),
      load: quantilesOf(
        trials.map(({ load }) => load),
        QUANTILES,
      ),
      seconds: quantilesOf(
        held.map(({ seconds }) => seconds),
        QUANTILES,
      ),
    },
  };
}
