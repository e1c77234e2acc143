import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Random } from '@/core/math';
import { runPlan, type Run } from '@/core/plan';
import { patternSearch, robustCost, waysOut } from '@/core/search';
import { toRunInput, type ManoeuvreFile } from '@/document';
import { planNumbers } from '@/planner/tune';
import { prepareRun } from '@/document/run-input';
import { manoeuvreIn, readText } from './read-manoeuvre';
const SAMPLES = Number(process.env.SAMPLES ?? 400),
  MOST = Number(process.env.MOST ?? 250);
for (const id of process.argv.slice(2)) {
  const path = join('demo/manoeuvres', id + '.json');
  const text = readText(path);
  if (!text.ok) throw new Error();
  const f = manoeuvreIn(text.value, path);
  if (!f.ok) throw new Error(JSON.stringify(f.problems));
  const file: ManoeuvreFile = f.value;
  const least = file.locks.length > 0 ? 0.25 : 0.6;
  const failedOf = (run: Run) => run.events.filter((e) => e.is === 'expectation failed').length;
  const hardFailed = (run: Run) =>
    run.events.filter(
      (e) =>
        e.is === 'expectation failed' &&
        e.expectation.is !== 'heading' &&
        e.expectation.is !== 'speed',
    ).length;
  const extra = (run: Run) =>
    0.6 * failedOf(run) +
    1.5 * hardFailed(run) +
    12 * Math.max(0, least - (run.margins.clearance?.distance ?? 9)) +
    (run.outcome === 'reached' ? 0 : 60) +
    6 * Math.max(0, run.margins.fastest - 2.1) +
    (run.margins.touch?.grade === 'hard' ? 60 : 0);
  const inputWith = prepareRun(file);
  const numbers = planNumbers(file.plan);
  const written = (v: readonly number[]) =>
    numbers.reduce((plan, n, i) => n.write(plan, v[i]!), file.plan);
  const one = (v: readonly number[]): number => { if (process.env.WAYS && ++calls % 1 === 0) { const c = plainOne(v); return c < 40 ? c + 2 * noneOf(v) : c; } return plainOne(v); };
  let calls = 0;
  const plainOne = (v: readonly number[]) => {
    const i = inputWith(written(v));
    if (!i.ok) return Infinity;
    const run = runPlan(i.value);
    return (
      extra(run) + (run.outcome === 'reached' ? robustCost(i.value, run) : robustCost(i.value, run))
    );
  };
  const start = numbers.map((n) => n.value);
  const random = new Random(Number(process.env.SEED ?? 11));
  const t0 = Date.now();
  let pool = [{ v: start, c: one(start) }];
  const before = pool[0]!.c;
  for (let k = 0; k < SAMPLES; k++) {
    const base = pool[Math.floor(random.uniform() * Math.min(pool.length, 6))]!.v;
    const wide = k % 3 === 0 ? 0.5 : 0.2;
    const v = base.map((x, i) => {
      if (random.uniform() < 0.6) return x;
      const n = numbers[i]!;
      const span = Math.min(
        n.most - n.least,
        Math.max(4 * n.step, Math.abs(n.value) || n.step * 8),
      );
      return Math.max(n.least, Math.min(n.most, x + wide * span * random.normal()));
    });
    const c = one(v);
    if (c < pool.at(-1)!.c || pool.length < 6) {
      pool.push({ v, c });
      pool.sort((a, b) => a.c - b.c);
      pool = pool.slice(0, 6);
    }
  }
  const noneOf = (v: readonly number[]) => { const i = inputWith(written(v)); return i.ok ? waysOut(i.value).filter(({ grade }) => grade === 'none').length : 99; };
  if (process.env.WAYS) {  }
  let best = pool[0]!;
  for (const cand of pool.slice(0, 2)) {
    const at = numbers.map((n, i) => ({ ...n, value: cand.v[i]! }));
    for (const { values, cost } of patternSearch(at, one, MOST))
      if (cost < best.c) best = { v: [...values], c: cost };
  }
  let plan: any = written(best.v);
  for (let round = 0; round < 3; round++) {
    const i = toRunInput({ ...file, plan } as never);
    if (!i.ok) break;
    const r = runPlan(i.value);
    if (r.outcome !== 'reached') break;
    plan = structuredClone(plan);
    for (const e of r.events)
      if (e.is === 'expectation failed') {
        const x = plan.steps[e.step].expect[e.index];
        if (x.is === 'heading') {
          const was = x.heading_deg;
          x.heading_deg = ((Math.round((e.found * 180) / Math.PI) % 360) + 360) % 360;
          console.log('   ', id, 'step', e.step + 1, 'heading', was, '->', x.heading_deg);
        } else if (x.is === 'speed') {
          const was = [x.least_mps, x.most_mps];
          x.least_mps = Math.min(
            x.least_mps ?? 0,
            Math.max(0, Math.floor(100 * (e.found - 0.12)) / 100),
          );
          x.most_mps = Math.max(x.most_mps ?? 9, Math.ceil(100 * (e.found + 0.12)) / 100);
          console.log('   ', id, 'step', e.step + 1, 'speed', was, '->', [x.least_mps, x.most_mps]);
        } else console.log('   ', id, 'step', e.step + 1, JSON.stringify(x), e.found);
      }
  }
  const input = toRunInput({ ...file, plan } as never);
  if (!input.ok) {
    console.log(id, 'bad');
    continue;
  }
  const run = runPlan(input.value);
  const ok =
    run.outcome === 'reached' &&
    failedOf(run) === 0 &&
    run.margins.touch?.grade !== 'hard' &&
    (run.margins.clearance?.distance ?? 9) >= least - 0.1;
  const none = ok ? waysOut(input.value).filter(({ grade }) => grade === 'none').length : -1;
  console.log(
    id,
    ok ? 'OK' : 'no',
    run.outcome,
    'hard',
    run.margins.touch?.grade,
    'failed',
    failedOf(run),
    'clear',
    run.margins.clearance?.distance.toFixed(2),
    'none',
    none,
    before.toFixed(1),
    '->',
    best.c.toFixed(2),
    numbers.length,
    'numbers',
    ((Date.now() - t0) / 1000).toFixed(0) + 's',
  );
  if (ok || process.env.FORCE) {
    const json = JSON.parse(readFileSync(path, 'utf8'));
    json.plan = plan;
    writeFileSync(path, JSON.stringify(json, null, 2) + '\n');
  }
}
