import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runPlan } from '@/core/plan';
import { toRunInput } from '@/document';
import { manoeuvreIn, readText } from './read-manoeuvre';
const load = (id: string) => { const path = join('demo/manoeuvres', id + '.json'); const text = readText(path); if (!text.ok) throw new Error(); const f = manoeuvreIn(text.value, path); if (!f.ok) throw new Error(JSON.stringify(f.problems)); return { path, file: f.value as any }; };
const out = (file: any, plan: any) => { const i = toRunInput({ ...file, plan }); if (!i.ok) return JSON.stringify(i.problems); const r = runPlan(i.value); return r.outcome + ' ' + JSON.stringify(r.goal.map((g) => [g.what, +g.found.toFixed(2), g.met])) + ' ' + JSON.stringify([...new Set(r.touches.map((t) => t.name + ':' + t.grade))]) + JSON.stringify(r.events.filter((e) => e.is === 'cue never came')); };
const [id, upTo, save] = process.argv.slice(2);
const { path, file } = load(id!);
const t = structuredClone(file.tempting.plan);
const HELM = new Set(['engine', 'steer', 'steerFor', 'wheel', 'thruster', 'joystick']);
for (let i = 0; i < Number(upTo); i++) {
  t.steps[i].cue = file.plan.steps[i].cue; t.steps[i].within_s = file.plan.steps[i].within_s;
  t.steps[i].orders = [...t.steps[i].orders.filter((o: any) => !HELM.has(o.do)), ...file.plan.steps[i].orders.filter((o: any) => HELM.has(o.do))];
}
console.log('was', out(file, file.tempting.plan)); console.log('now', out(file, t));
if (save) { const j = JSON.parse(readFileSync(path, 'utf8')); j.tempting.plan = t; writeFileSync(path, JSON.stringify(j, null, 2) + '\n'); }
