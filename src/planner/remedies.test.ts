import { HOLDS_ENOUGH } from '@/core/policy';
import type { Trial } from '@/core/reliability';
import { certificateOf } from '@/core/reliability';
import { demoFile } from '@/document/testing/demo';
import { trialsOf } from '@/document/testing/demo-trials';
import { remediesFor } from './remedies';
import { NOTHING, type Asking, type Remedy, type Suggestion, type Wanted } from './suggestion';
import type { Tried, Tries } from './try-out';

const file = demoFile('two-hulls-in-a-calm');
const windy = {
  ...file,
  conditions: { ...file.conditions, wind: { from_deg: 0, speed_mps: 4 } },
};
const [trial] = trialsOf(file, 1) as [Trial];
const plan = file.plan;
const soFar: Suggestion = {
  ...NOTHING,
  plans: [
    {
      plan,
      gearChanges: 4,
      way: { most: 1, thrusters: false, spring: false, idle: false },
      certificate: certificateOf([trial]),
    },
  ],
};

/** Remedies where a changed manoeuvre holds as it is said to, and what was asked for on the way. */
function found(holdsIn: (tries: Tries) => boolean) {
  const asked: Wanted[] = [];
  const answer = (tries: Tries): Tried => {
    if (tries.of === 'way')
      return { of: 'way', laid: { ok: true, value: { plan, gearChanges: 4 } } };
    if (tries.of !== 'plan') return { of: 'reference helm', held: [] };
    const outcome = holdsIn(tries) ? 'reached' : 'missed';
    const trials = Array.from({ length: tries.to - tries.from }, (_, i) => ({
      ...trial,
      run: tries.from + i,
      outcome,
    }));
    return { of: 'plan', trials: trials as unknown as Trial[] };
  };
  const steps: Asking<Remedy[]> = remediesFor(soFar, windy, { seed: 1, count: 20 });
  let next = steps.next();
  while (!next.done) {
    asked.push(next.value);
    next = steps.next(next.value.all.map((list) => list.map(answer)));
  }
  return { remedies: next.value, asked };
}

describe('remedies', () => {
  it('offer the least wind less that holds, and each on tries it was not let through by', () => {
    const { remedies, asked } = found(({ file: { conditions } }) => conditions.wind.speed_mps <= 2);
    expect(remedies.map(({ is }) => is)).toEqual(['less wind']);
    expect(remedies[0]!.wind).toBe(2);
    expect(remedies[0]!.certificate.share).toBeGreaterThanOrEqual(HOLDS_ENOUGH);
    const first = new Set<number>();
    for (const { all } of asked.slice(-2, -1))
      for (const tries of all.flat()) if (tries.of === 'plan') first.add(tries.from);
    for (const tries of asked.at(-1)!.all.flat())
      if (tries.of === 'plan') expect(first.has(tries.from)).toBe(false);
  });

  it('offer somebody at the bow, where nobody stands there yet', () => {
    const atBow = ({ file: { plan: of, boat } }: Tries) =>
      of.crew.some(({ at }) => 'aboard' in at && at.aboard.endsWith('bow cleat') && boat.id !== '');
    expect(found(atBow).asked.some(({ doing }) => doing === 'one more hand')).toBe(true);
  });

  it('offer none where nothing holds', () => {
    expect(found(() => false).remedies).toEqual([]);
  });
});
