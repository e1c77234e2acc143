/**
 * `npm run sweep` goes through every case; `npm test` through a fixed choice that covers every class of them. What is
 * swept is listed in docs/notes/sweep.md.
 */
export const SWEEPING = process.env.YAWTROPE_SWEEP === '1';

/** All cases in a sweep, otherwise those picked. Throws where a pick is none of them: it would test nothing. */
export function chosen<T>(all: readonly T[], picks: readonly T[]): readonly T[] {
  const unknown = picks.filter((pick) => !all.includes(pick));
  if (unknown.length > 0 || picks.length === 0)
    throw new Error(`chosen for a test and not there: ${unknown.join(', ') || 'nothing'}`);
  return SWEEPING ? all : picks;
}

/** How many random cases are tried: in a test, and in a sweep. */
export const tries = (tested: number, swept: number) => (SWEEPING ? swept : tested);
