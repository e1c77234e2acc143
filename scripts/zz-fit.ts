import { Random } from '@/core/math';
import { runPlan, type Run } from '@/core/plan';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { toRunInput } from '@/document/run-input';
import { demoFile } from '@/document/testing/demo';
import { templatesFor } from '@/planner/testing/asked';
function passage(going: 'up' | 'down', alone: boolean): ManoeuvreFile {
  const file = structuredClone(demoFile(`nell-${going}-cobnut-lock`));
  file.limit_s = alone ? 1800 : 1500;
  file.plan.lines = [];
  file.plan.end = { cue: { is: 'after', time_s: 5 }, within_s: 20 };
  file.plan.steps = file.plan.steps.slice(0, 1).map((step) => ({ ...step, orders: [] }));
  if (alone) file.plan.crew = [{ name: 'Joss', at: { aboard: 'helm' }, pull_N: 300, throws_m: 8 }];
  return file;
}
const WEST = { x: -3.06, y: -19.14 };
const ALONG = Math.atan2(33.07, 29.14);
const at = (along: number, off: number) => ({ x_m: WEST.x + along * Math.sin(ALONG) - off * Math.cos(ALONG), y_m: WEST.y + along * Math.cos(ALONG) + off * Math.sin(ALONG), heading_deg: (ALONG * 180) / Math.PI });
function together(pebble: number, wicket: number, change: (f: ManoeuvreFile) => void = () => {}): ManoeuvreFile {
  const file = structuredClone(demoFile('pebble-shares-withen-lock'));
  file.start = { ...at(pebble, 1.9), speed_mps: 0 } as never;
  file.others[0]!.start = at(wicket, 2.35) as never;
  file.plan.lines = []; file.plan.steps = [{ ...file.plan.steps[0]!, orders: [] }];
  change(file); return file;
}
const danger = (r: Run) => r.events.filter((e) => e.is === 'crew' && e.what === 'in danger').length + r.events.filter((e) => e.is === 'line' && ['left', 'loads up', 'parted'].includes(e.what)).length;
const jobs: Record<string, { file: () => ManoeuvreFile; tech: string; start: Record<string, number> }> = {
  'alone-up': { file: () => passage('up', true), tech: 'alone-through-the-lock', start: { slow: 0, turned: 15, stop: 8.5, back: 0.25, angle: 5 } },
  'alone-down': { file: () => passage('down', true), tech: 'alone-through-the-lock', start: { slow: 0.05, turned: 16.3, stop: 8.1, back: 0.3, angle: 3 } },
  'pick-up': { file: () => passage('up', false), tech: 'through-the-lock', start: { slow: 0.05, turned: 16.3, stop: 8.1, back: 0.3, angle: 3 } },
  'pick-down': { file: () => passage('down', false), tech: 'through-the-lock', start: { slow: 0.05, turned: 16.3, stop: 8.1, back: 0.3, angle: 3 } },
  'tog-before': { file: () => together(37, 23.5), tech: 'through-the-lock', start: { slow: 0, turned: 13.3, stop: 16.3, back: 0.3, angle: 9 } },
  'tog-against': { file: () => together(24, 37, (f) => { Object.assign(f.locks[0]!, { set: 'upper', gates: 'shut' }); f.limit_s = 1800; }), tech: 'through-the-lock', start: { slow: 0, turned: 13.3, stop: 15.9, back: 0.35, angle: 9 } },
  sharing: { file: () => structuredClone(demoFile('pebble-shares-withen-lock')), tech: 'through-the-lock', start: { slow: 0.2, turned: 13.3, stop: 15.6, back: 0.45, angle: 10 } },
};
const random = new Random(5);
for (const name of process.argv.slice(2)) {
  const { file: make, tech, start } = jobs[name]!;
  const file = make();
  const t = templatesFor(file, tech as never)[0]!;
  let found = 0;
  for (let k = 0; k < Number(process.env.TRIES ?? 60) && found < 1; k++) {
    const n: Record<string, number> = { ...start };
    if (k > 0) { n.slow = Math.max(0, start.slow! + 0.08 * random.normal()); n.turned = start.turned! + 1.5 * random.normal(); n.stop = start.stop! + 2.5 * random.normal(); n.back = Math.min(0.8, Math.max(0.15, start.back! + 0.15 * Math.abs(random.normal()))); n.angle = start.angle! + 2 * random.normal(); }
    for (const key of Object.keys(n)) n[key] = Number(n[key]!.toFixed(2));
    const input = toRunInput({ ...file, plan: t.write(n as never) }); if (!input.ok) continue;
    const r = runPlan(input.value);
    const hard = r.touches.filter((x) => x.grade === 'hard').length;
    const ok = r.outcome === 'reached' && hard === 0 && danger(r) === 0;
    if (ok) found++;
    if (ok || k === 0) console.log(name, JSON.stringify(n), r.outcome, 'hard', hard, 'danger', danger(r), 'clear', r.margins.clearance?.distance.toFixed(2));
  }
}
