import { kineticEnergy, Ledger, WORKS, type Work } from '../simulation';
import type { RunInput } from './input';
import { runPlan } from './run-loop';

/** Where the energy of a run came from and went, J, all seen from the moving water. */
export interface EnergyAudit {
  readonly before: number;
  readonly after: number;
  readonly work: readonly { readonly cause: Work; readonly joules: number }[];
  /** What the books do not account for, and how much was moved in all. */
  readonly missing: number;
  readonly turnover: number;
}

/**
 * Books every force's work over a run against the change of the boat's kinetic energy, added mass counted. It closes to the
 * step's own error in water that is the same everywhere and deep; where the current differs from place to place, or
 * shallow water changes its added mass as it goes, what that does stands under `missing`.
 */
export function energyAudit(input: RunInput): EnergyAudit {
  const ledger = new Ledger();
  let before: number | null = null;
  let after = 0;
  runPlan(
    input,
    (state) => {
      after = kineticEnergy(state, input.craft!);
      before ??= after;
    },
    ledger,
  );
  const work = WORKS.map((cause, i) => ({ cause, joules: ledger.work[i]! }));
  const total = work.reduce((sum, { joules }) => sum + joules, 0);
  const turnover = work.reduce((sum, { joules }) => sum + Math.abs(joules), 0) / 2;
  return { before: before ?? 0, after, work, missing: after - (before ?? 0) - total, turnover };
}
