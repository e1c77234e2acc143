import { join } from 'node:path';
import { runPlan } from '@/core/plan';
import { toRunInput } from '@/document';
import { manoeuvreIn, readText } from './read-manoeuvre';
for (const id of process.argv.slice(2)) {
  const path = join('demo/manoeuvres', id + '.json');
  const text = readText(path);
  if (!text.ok) throw new Error();
  const f = manoeuvreIn(text.value, path);
  if (!f.ok) throw new Error(JSON.stringify(f.problems));
  const file = f.value;
  const i = toRunInput(file);
  if (!i.ok) continue;
  const run = runPlan(i.value);
  console.log(
    id,
    run.outcome,
    'clear',
    run.margins.clearance?.distance.toFixed(2),
    run.margins.clearance?.name,
    JSON.stringify(run.goal.map((g) => [g.what, +g.found.toFixed(2), g.limit, g.met])),
  );
  for (const s of run.steps)
    console.log(
      '   step',
      s.step,
      file.plan.steps[s.step]?.title,
      't',
      s.time.toFixed(1),
      'hdg',
      (s.heading * 57.3).toFixed(0),
    );
  for (const e of run.events)
    if (e.is !== 'step' && e.is !== ('order' as never))
      console.log('   ', JSON.stringify(e).slice(0, 170));
  console.log(
    JSON.stringify(
      file.plan.steps.map((s) => ({
        t: s.title,
        cue: s.cue,
        o: s.orders.map((o: any) => [o.do, o.gear, o.throttle, o.angle_deg]),
        e: s.expect,
      })),
    ).slice(0, 1800),
  );
}
