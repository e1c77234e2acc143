import { runPlan } from '@/core/plan';
import { toRunInput } from '@/document';
import { demoFile } from '@/document/testing/demo';
const base: any = demoFile('spring-on-before-she-blows-off');
const seeded = (seed: number, plan = base.plan) => ({ ...base, plan, conditions: { ...base.conditions, wind: { ...base.conditions.wind, gusts: { intensity: 0.001, timeScale_s: 8, seed } } } });
const play = (f: any) => { const i = toRunInput(f); if (!i.ok) throw new Error(JSON.stringify(i.problems)); return runPlan(i.value); };
const missing = Array.from({ length: 40 }, (_, i) => i + 1).find((s) => play(seeded(s)).events.some((e) => e.is === 'line' && e.what === 'missed'))!;
console.log(base.plan.steps.map((s: any) => s.id), missing);
for (const [d, th, off, ang] of [[2, 0.3, 16, 35], [8, 0.3, 20, 35], [12, 0.3, 24, 35], [16, 0.4, 30, 35], [5, 0.3, 18, 20], [2, 0.5, 14, 20], [20, 0.4, 34, 35]] as const) {
  const plan = { ...base.plan, steps: base.plan.steps.map((s: any) => s.id === 'lines' ? { ...s, expect: [{ is: 'line', at: { after_s: 2 }, line: 'first spring', state: 'on' }], wayOut: { note: 'n', automatic: true, orders: [{ do: 'wheel', after_s: 0, angle_deg: ang }, { do: 'engine', after_s: d, gear: 'ahead', throttle: th }, { do: 'engine', after_s: off, gear: 'neutral', throttle: 0 }] } } : s) };
  const r = play(seeded(missing, plan)); console.log(d, th, off, ang, r.outcome, r.margins.clearance?.distance.toFixed(2), r.events.filter((e) => e.is === 'line').map((e: any) => e.what + '@' + e.time.toFixed(0)).join(' '));
}
