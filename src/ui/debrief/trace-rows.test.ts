import { runPlan } from '@/core/plan';
import type { Trace } from '@/core/simulation';
import { toRunInput } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { curves, ROW, rowsFor } from './trace-rows';

const KN = { speed: 'kn', length: 'm', force: 'N' } as const;
const file = demoFile('alongside-wind-off');
const input = toRunInput(file);
if (!input.ok) throw new Error('the demo is not sound');
const { trace } = runPlan(input.value);
const { boat } = file;
const untold = new Float64Array(trace.time.length).fill(NaN);
const names = (of: Trace) => rowsFor({ boat, trace: of }, KN).map(({ name }) => name);

it('draws what a run tells, and has no rows for instruments it has not', () => {
  expect(names(trace)).toEqual(['over ground', 'turning', 'wheel', 'propeller']);
});

it('draws sounder and wind where a boat’s own instruments told them, and not the boat’s gears', () => {
  const told = trace.time.map((t) => 2 + t / 100);
  const instruments = { depth: told, wind: untold, windAngle: untold };
  const measured = { ...trace, rudder: untold, engines: [], told: instruments };
  expect(names(measured)).toEqual(['over ground', 'turning', 'sounder']);
  const all = { ...instruments, wind: told, windAngle: told };
  expect(names({ ...measured, told: all })).toEqual([
    'over ground',
    'turning',
    'sounder',
    'apparent',
    'off the bow',
  ]);
});

it('draws feet for who reads feet, inside its row, and leaves a gap where nothing was told', () => {
  const depth = trace.time.map((_, i) => (i >= 40 && i < 80 ? NaN : 3));
  const measured = { ...trace, told: { depth, wind: untold, windAngle: untold } };
  const rows = rowsFor({ boat, trace: measured }, { ...KN, length: 'ft' });
  const row = rows.find(({ name }) => name === 'sounder')!;
  const drawn = curves(row, 100, (t) => t, [{ trace: measured, times: trace.time }]);
  expect(drawn.high).toBe('9.8 ft');
  expect(drawn.paths[0]!.match(/M/g)).toHaveLength(2);
  const heights = [...drawn.paths[0]!.matchAll(/,(-?[\d.]+)/g)].map(([, y]) => Number(y));
  expect(Math.min(...heights)).toBeGreaterThanOrEqual(100);
  expect(Math.max(...heights)).toBeLessThanOrEqual(100 + ROW);
});
