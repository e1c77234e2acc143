import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { waysOut } from '@/core/search';
import { toRunInput, type ManoeuvreFile } from '@/document';
import { isRefused, propose, subjectOf, techniquesFor, type Proposal } from '@/planner';
import { manoeuvreIn, readText } from './read-manoeuvre';
mkdirSync('/tmp/cand', { recursive: true });
for (const id of process.argv.slice(2)) {
  const path = join('demo/manoeuvres', id + '.json');
  const text = readText(path);
  if (!text.ok) throw new Error();
  const f = manoeuvreIn(text.value, path);
  if (!f.ok) throw new Error(JSON.stringify(f.problems));
  const file: ManoeuvreFile = f.value;
  console.log(id, file.boat.id, file.goal.is, '|', file.plan.steps.map((s) => s.title).join(' / '));
  const offered = techniquesFor(subjectOf(file));
  if (!offered.ok) {
    console.log('  not offered', JSON.stringify(offered.problems));
    continue;
  }
  for (const t of offered.value.filter(
    ({ unfit, id: name }) =>
      unfit === null && (!process.env.ONLY || name.includes(process.env.ONLY)),
  )) {
    const t0 = Date.now();
    let last: Proposal | null = null;
    let why = '';
    for (const p of propose(file, t.id)) {
      if (!p.ok) why = JSON.stringify(p.problems).slice(0, 80);
      else if (isRefused(p.value)) why = 'refused ' + JSON.stringify(p.value).slice(0, 90);
      else last = p.value;
    }
    if (!last) {
      console.log('  ', t.id, why);
      continue;
    }
    const run = last.run;
    const failed = run.events.filter((e) => e.is === 'expectation failed').length;
    const hard = run.margins.touch?.grade === 'hard';
    let none = -1;
    const plan = (last as any).plan ?? (last as any).file?.plan;
    if (run.outcome === 'reached' && !hard) {
      const i = toRunInput({ ...file, plan } as never);
      if (i.ok) none = waysOut(i.value).filter(({ grade }) => grade === 'none').length;
    }
    writeFileSync(
      `/tmp/cand/${id}--${t.id}.json`,
      JSON.stringify({ plan, keys: Object.keys(last) }),
    );
    console.log(
      '  ',
      t.id,
      run.outcome,
      hard ? 'HARD' : '',
      'failed',
      failed,
      'none',
      none,
      'clear',
      run.margins.clearance?.distance.toFixed(2),
      ((Date.now() - t0) / 1000).toFixed(0) + 's',
    );
  }
}
