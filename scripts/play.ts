import { renameSync, rmSync, writeFileSync } from 'node:fs';
import { briefOf } from '@/core/brief';
import { checkPlan } from '@/core/checks';
import { gradeHandling, faultsOf, handlingOf, reviewOf } from '@/core/debrief';
import { runPlan, type RunInput, type Run } from '@/core/plan';
import { lastWayOut, surveyed, windLimit } from '@/core/search';
import {
  check,
  DRIVEN_SCHEMA,
  drivenFileSchema,
  failure,
  namedMarks,
  problemLines,
  success,
  summarise,
  toDrive,
  toRunInput,
  toRunFile,
  type DrivenFile,
  type ManoeuvreFile,
  type Result,
  parseJson,
} from '@/document';
import {
  isRefused,
  propose,
  TECHNIQUE_IDS,
  techniqueIdSchema,
  type Proposal,
  type Refused,
  type TechniqueId,
} from '@/planner';
import { MOST_CHARACTERS } from '@/io/manoeuvre';
import { refusalWords } from '@/ui/words/refusals';
import { manoeuvreIn, readText } from './read-manoeuvre';

const USAGE = 'usage: npm run -s play -- FILE.json [--out RUN.json] [--look] [--propose TECHNIQUE]';

interface Arguments {
  readonly file: string;
  readonly out: string | null;
  /** Also print what the planner says of it. */
  readonly look: boolean;
  /** Play the technique of that id, written down for the manoeuvre, in place of its plan. */
  readonly propose: TechniqueId | null;
}

function readArguments(given: readonly string[]): Result<Arguments> {
  const rest = [...given];
  let out: string | null = null;
  const at = rest.indexOf('--out');
  if (at >= 0) {
    out = rest[at + 1] ?? null;
    if (!out) return failure({ path: '--out', message: `needs a file name. ${USAGE}` });
    rest.splice(at, 2);
  }
  let technique: TechniqueId | null = null;
  const asked = rest.indexOf('--propose');
  if (asked >= 0) {
    const known = check<TechniqueId>(techniqueIdSchema, rest[asked + 1]);
    if (!known.ok)
      return failure({ path: '--propose', message: `is one of: ${TECHNIQUE_IDS.join(', ')}` });
    technique = known.value;
    rest.splice(asked, 2);
  }
  const looks = rest.indexOf('--look');
  if (looks >= 0) rest.splice(looks, 1);
  const stray = rest.find((word) => word.startsWith('--'));
  if (stray) return failure({ path: stray, message: `is not an option. ${USAGE}` });
  if (rest.length !== 1) return failure({ path: 'FILE.json', message: `give one file. ${USAGE}` });
  return success({ file: rest[0]!, out, look: looks >= 0, propose: technique });
}

const isDriven = (json: unknown): boolean =>
  typeof json === 'object' && json !== null && '$schema' in json && json.$schema === DRIVEN_SCHEMA;

/** What Brief and Plan show beside the run, in SI units and radians; null for a distance or a wind without end. */
function lookInto(input: RunInput, file: ManoeuvreFile, run: Run) {
  const moments = surveyed(input).map(({ time, wayOut, timeToContact }) => ({
    time,
    wayOut,
    ...timeToContact,
  }));
  const outboard = file.boat.drives.some(({ kind }) => kind === 'outboard');
  const said = file.plan.steps.map(({ wayOut }) => wayOut.note.trim() !== '');
  return {
    brief: [...briefOf(input, outboard, namedMarks(file.place), false)].at(-1)!,
    moments,
    lastWayOut: lastWayOut(moments.map(({ wayOut }) => wayOut)),
    windLimit: windLimit(input),
    checks: checkPlan(input, run, said),
  };
}

/** The manoeuvre with a technique written down in place of its plan. */
function withFigure(file: ManoeuvreFile, technique: TechniqueId): Result<ManoeuvreFile> {
  let last: Result<Proposal | Refused> | null = null;
  for (const proposal of propose(file, technique)) last = proposal;
  if (!last) return failure({ path: '--propose', message: 'nothing was found' });
  if (!last.ok) return last;
  if (isRefused(last.value))
    return failure({ path: 'technique', message: refusalWords(last.value.refused) });
  return success({ ...file, plan: last.value.plan });
}

/** Writes a run beside and moves it into place, so that it is there whole or not at all; nothing where none is asked for. */
function write(out: string | null, run: Run, file: ManoeuvreFile): Result<null> {
  if (!out) return success(null);
  const partial = `${out}.partial-${process.pid}`;
  try {
    writeFileSync(partial, JSON.stringify(toRunFile(run, file)));
    renameSync(partial, out);
    return success(null);
  } catch (error) {
    rmSync(partial, { force: true });
    const why = error instanceof Error ? error.message : 'unwritable';
    return failure({ path: '--out', message: `${out} cannot be written: ${why}` });
  }
}

/** A run driven by hand: played again, and looked over as the debrief does. Techniques SI and radians. */
function playDriven(json: unknown, { out, look, propose: technique }: Arguments): Result<string> {
  if (look || technique) {
    const path = look ? '--look' : '--propose';
    return failure({ path, message: 'is for a manoeuvre; this is a run driven by hand' });
  }
  const file = check<DrivenFile>(drivenFileSchema, json);
  if (!file.ok) return file;
  const drive = toDrive(file.value);
  if (!drive.ok) return drive;
  const review = reviewOf(drive.value.input, drive.value.recording);
  const written = write(out, review.run, file.value.manoeuvre);
  if (!written.ok) return written;
  const faults = faultsOf(review);
  const { grade, because } = gradeHandling(review, faults);
  const debrief = { care: { grade, because }, faults, handling: handlingOf(review) };
  const summary = summarise(review.run, file.value.manoeuvre);
  return success(JSON.stringify({ ...summary, debrief }, null, 2));
}

function play(given: Arguments): Result<string> {
  const { file, out, look, propose: technique } = given;
  const text = readText(file);
  if (!text.ok) return text;
  const json = parseJson(text.value, MOST_CHARACTERS);
  if (json.ok && isDriven(json.value)) return playDriven(json.value, given);
  const kept = manoeuvreIn(text.value, file);
  if (!kept.ok) return kept;
  const whole = technique ? withFigure(kept.value, technique) : kept;
  if (!whole.ok) return whole;
  const input = toRunInput(whole.value);
  if (!input.ok) return input;
  const run = runPlan(input.value);
  const written = write(out, run, whole.value);
  if (!written.ok) return written;
  const summary = summarise(run, whole.value);
  const more = {
    ...(technique ? { plan: whole.value.plan } : {}),
    ...(look ? { look: lookInto(input.value, whole.value, run) } : {}),
  };
  return success(JSON.stringify({ ...summary, ...more }, null, 2));
}

const given = readArguments(process.argv.slice(2));
const result = given.ok ? play(given.value) : given;
if (result.ok) {
  process.stdout.write(`${result.value}\n`);
} else {
  process.stderr.write(`${problemLines(result.problems)}\n`);
  process.exitCode = 2;
}
