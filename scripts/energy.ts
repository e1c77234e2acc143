import { energyAudit } from '@/core/plan';
import { WORKS } from '@/core/simulation';
import { DEMO_MANOEUVRES, demoFile } from '@/document/testing/demo';
import { toRunInput } from '@/document';

// Books the work of every force over every demo against the change of kinetic energy. What is missing is the step's error,
// but for water that differs from place to place.

const kJ = (joules: number) => (joules / 1000).toFixed(2).padStart(9);

process.stdout.write(
  `kJ, seen from the moving water; missing is what the books do not account for, of the energy moved\n${'manoeuvre'.padEnd(32)}${'kinetic'.padStart(9)}${WORKS.map((work) => work.slice(0, 9).padStart(10)).join('')}${'missing'.padStart(12)}\n`,
);
let worst = 0;
for (const id of DEMO_MANOEUVRES) {
  const input = toRunInput(demoFile(id));
  if (!input.ok) throw new Error(`${id} cannot be played`);
  const { before, after, work, missing, turnover } = energyAudit(input.value);
  const share = Math.abs(missing) / turnover;
  const even = input.value.weather.current === undefined && input.value.weather.depth === undefined;
  if (even) worst = Math.max(worst, share);
  process.stdout.write(
    `${id.padEnd(32)}${kJ(after - before)}${work.map(({ joules }) => ` ${kJ(joules)}`).join('')}${(100 * share).toFixed(4).padStart(10)} %${even ? '' : '  (water not even)'}\n`,
  );
}
process.stdout.write(`worst in even water: ${(100 * worst).toFixed(4)} %\n`);
