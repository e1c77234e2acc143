import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runPlan } from '@/core/plan';
import { toRunInput } from '@/document';
import { manoeuvreIn, readText } from './read-manoeuvre';
const load = (id: string) => {
  const path = join('demo/manoeuvres', id + '.json');
  const text = readText(path);
  if (!text.ok) throw new Error();
  const f = manoeuvreIn(text.value, path);
  if (!f.ok) throw new Error(JSON.stringify(f.problems));
  return { path, file: f.value as any };
};
const out = (file: any, plan: any) => {
  const i = toRunInput({ ...file, plan });
  if (!i.ok) return JSON.stringify(i.problems);
  const r = runPlan(i.value);
  return (
    r.outcome +
    ' ' +
    JSON.stringify(r.goal.map((g) => [g.what, +g.found.toFixed(2), g.met])) +
    ' ' +
    JSON.stringify(r.events.filter((e) => e.is === 'cue never came'))
  );
};
const save = (path: string, plan: any) => {
  const j = JSON.parse(readFileSync(path, 'utf8'));
  j.tempting.plan = plan;
  writeFileSync(path, JSON.stringify(j, null, 2) + '\n');
};
{
  const { path, file } = load('alongside-wind-off');
  const t = structuredClone(file.tempting.plan);
  for (const i of [0, 1, 2]) {
    t.steps[i].cue = file.plan.steps[i].cue;
    t.steps[i].orders = file.plan.steps[i].orders;
  }
  t.steps[4].cue = {
    is: 'any',
    of: [
      { is: 'heading', heading_deg: 58 },
      { is: 'after', time_s: 12 },
    ],
  };
  console.log('alongside', out(file, t));
  save(path, t);
}
{
  const { path, file } = load('spring-on-before-she-blows-off');
  const t = structuredClone(file.tempting.plan);
  for (const i of [0, 1, 2]) {
    t.steps[i].cue = file.plan.steps[i].cue;
    t.steps[i].orders = file.plan.steps[i].orders;
  }
  t.steps[3].cue = file.plan.steps[3].cue;
  t.steps[3].orders = file.plan.steps[3].orders.filter((o: any) => o.do !== 'pass');
  console.log('spring', out(file, t));
  save(path, t);
}
{
  const { path, file } = load('nell-down-cobnut-lock');
  console.log('nell now', out(file, file.tempting.plan));
  for (const d of [10.2, 10.8, 12, 12.6, 13.4, 14.5]) {
    const t = structuredClone(file.tempting.plan);
    t.steps[2].cue.distance_m = d;
    const o = out(file, t);
    console.log(d, o);
    if (o.startsWith('hung')) {
      save(path, t);
      break;
    }
  }
}
