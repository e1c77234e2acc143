import { demoFile } from '@/document/testing/demo';
import { toRunInput } from '@/document';
import { trialOf } from '@/core/reliability';
import { STANDARD_SPREAD } from '@/core/uncertainty';
const ids = process.argv.slice(2);
for (const id of ids) {
  const made = toRunInput(demoFile(id)); if (!made.ok) throw 1;
  for (let k = 0; k < 30; k++) trialOf(made.value, STANDARD_SPREAD, 1, k);
  const c0 = process.cpuUsage(); let s = 0; const n = 200; let held = 0;
  for (let k = 0; k < n; k++) { const t = trialOf(made.value, STANDARD_SPREAD, 1, k); s += t.seconds; if (t.outcome === 'reached') held++; }
  const c1 = process.cpuUsage(c0); const ms = (c1.user + c1.system) / 1000;
  console.log(id, (ms / n).toFixed(2), 'ms a run of', (s / n).toFixed(0), 's;', ((ms / s) * 120).toFixed(2), 'ms per two minutes', held / n);
}
