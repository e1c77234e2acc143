import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runPlan } from '@/core/plan';
import { toRunInput } from '@/document';
import { manoeuvreIn, readText } from './read-manoeuvre';
const path = join('demo/manoeuvres/nell-up-medlar-stairs.json');
const text = readText(path); if (!text.ok) throw new Error(); const f = manoeuvreIn(text.value, path); if (!f.ok) throw new Error();
const file = f.value as any;
let done = false;
for (const a of [0, 1, 2, 3]) for (const b of [0, 1, 2]) for (const th of [0, 0.15]) {
  if (done) break;
  const plan = structuredClone(file.plan);
  plan.steps[3].cue.distance_m += a; plan.steps[11].cue.distance_m += b;
  for (const i of [3, 11]) for (const o of plan.steps[i].orders) if (o.do === 'engine' && o.gear === 'astern') o.throttle = Number((o.throttle + th).toFixed(2));
  const i = toRunInput({ ...file, plan }); if (!i.ok) { console.log('bad'); continue; }
  const r = runPlan(i.value);
  const failed = r.events.filter((e) => e.is === 'expectation failed');
  console.log(a, b, th, r.outcome, r.margins.clearance?.distance.toFixed(2), r.margins.clearance?.name, failed.length, r.touches.filter((t) => t.grade === 'hard').length);
  if (r.outcome === 'reached' && (r.margins.clearance?.distance ?? 0) > 0.22 && failed.length === 0) { done = true; const j = JSON.parse(readFileSync(path, 'utf8')); j.plan = plan; writeFileSync(path, JSON.stringify(j, null, 2) + '\n'); }
}
