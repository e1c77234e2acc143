import { Random } from '@/core/math';
import { runPlan } from '@/core/plan';
import { toRunInput } from '@/document/run-input';
import { demoFile } from '@/document/testing/demo';
import { templatesFor } from '@/planner/testing/asked';
const file = structuredClone(demoFile('pressed-onto-the-pontoon')); const { goal, plan } = file as any;
const hand = (name: string, at: any) => ({ name, at, pull_N: 250, throws_m: 8 });
plan.crew = [hand('Isa', { aboard: 'helm' }), hand('Tove', { aboard: goal.point })];
const t = templatesFor(file, 'crew-ashore' as never)[0];
const start: any = { heading: 66.3, neutralAt: 33.27, turnAt: 21.27, burst: 0.414, off: 44.4, back: 0.083, wait: 27.66 };
const random = new Random(3); let found = 0;
for (let k = 0; k < 400 && found < 2; k++) {
  const n: any = { ...start };
  if (k > 0) { n.heading += 6 * random.normal(); n.neutralAt += 4 * random.normal(); n.turnAt += 3 * random.normal(); n.burst = Math.max(0, n.burst + 0.2 * random.normal()); n.off += 8 * random.normal(); n.back = Math.max(0, n.back + 0.15 * Math.abs(random.normal())); n.wait += 5 * random.normal(); }
  for (const key of Object.keys(n)) n[key] = Number(n[key].toFixed(3));
  const i = toRunInput({ ...file, plan: t!.write(n) } as never); if (!i.ok) continue;
  const r = runPlan(i.value);
  const s = r.events.find((e) => e.is === 'crew' && e.what === 'ashore') as any;
  if (r.outcome === 'reached' && s && s.time <= r.duration && !r.events.some((e) => e.is === 'crew' && e.what === 'in danger')) { const at = Math.min(r.trace.time.length - 1, Math.floor(10 * s.time)); if (r.trace.engines[0]!.gear[at] === 0 && r.trace.groundSpeed[at]! < 0.33) { found++; console.log(JSON.stringify(n), r.trace.groundSpeed[at], r.margins.touch?.grade); } }
}
