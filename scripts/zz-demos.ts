import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { runPlan } from '@/core/plan';
import { certificateOf, trialOf } from '@/core/reliability';
import { STANDARD_SPREAD } from '@/core/uncertainty';
import { toRunInput } from '@/document';
import { manoeuvreIn, readText } from './read-manoeuvre';
const only = process.argv.slice(2);
let good = 0,
  n = 0;
for (const name of readdirSync('demo/manoeuvres').toSorted()) {
  if (only.length && !only.some((o) => name.includes(o))) continue;
  const path = join('demo/manoeuvres', name);
  const text = readText(path);
  if (!text.ok) throw new Error();
  const file = manoeuvreIn(text.value, path);
  if (!file.ok) throw new Error(JSON.stringify(file.problems));
  const input = toRunInput(file.value);
  if (!input.ok) throw new Error();
  const run = runPlan(input.value);
  const hard = run.touches.filter((t) => t.grade === 'hard').length;
  n++;
  if (run.outcome === 'reached' && !hard) good++;
  const tempting = (file.value as any).tempting;
  let told = '-';
  if (tempting) {
    const t = toRunInput({ ...file.value, plan: tempting.plan } as never);
    if (t.ok) {
      const r = runPlan(t.value);
      told = `${r.outcome} hard ${r.touches.filter((x) => x.grade === 'hard').length}`;
    }
  }
  let share = '';
  if (process.env.RUNS) {
    const trials = Array.from({ length: Number(process.env.RUNS) }, (_, k) =>
      trialOf(input.value, STANDARD_SPREAD, 1, k),
    );
    share = `share ${certificateOf(trials).share.toFixed(2)}`;
  }
  console.log(
    `${run.outcome === 'reached' && !hard ? ' ' : 'x'} ${name.padEnd(42)} ${file.value.boat.id.padEnd(14)} ${run.outcome} hard ${hard} soft ${run.touches.length - hard} clear ${run.margins.clearance?.distance.toFixed(2) ?? '-'} | tempting ${told} ${share}`,
  );
}
console.log(good, '/', n);
