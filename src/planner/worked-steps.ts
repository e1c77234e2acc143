import { cos, sin, wrapHalfTurn } from '@/core/math';
import type { MarkOnPlace, Run } from '@/core/plan';
import { WORKED } from '@/core/policy';
import { degrees } from '@/document/fields';
import type { CueDocument, SimpleCue } from '@/document/plan';
import { compassOf } from './template';

// How a run of a boat that is worked somewhere by short bursts is told: in the stretches it shows.

/** What the boat does at a moment of a run, as a skipper would say it. */
type Phase = 'ahead' | 'astern' | 'turn to port' | 'turn to starboard';

interface Stretch {
  readonly phase: Phase;
  readonly from: number;
  readonly to: number;
}

/** Stretches of a run in which the boat does one thing; short ones belong to the one before. */
function stretchesOf({ trace }: Run): Stretch[] {
  const { time, surge, yawRate } = trace;
  const phaseAt = (i: number): Phase => {
    const rate = yawRate[i]!;
    if (Math.abs(rate) > WORKED.turning) return rate < 0 ? 'turn to port' : 'turn to starboard';
    return surge[i]! < -WORKED.sternway ? 'astern' : 'ahead';
  };
  const found: Stretch[] = [];
  for (let i = 0; i < time.length; i++) {
    const phase = phaseAt(i);
    const last = found.at(-1);
    if (last?.phase === phase) found[found.length - 1] = { ...last, to: i };
    else found.push({ phase, from: i, to: i });
  }
  const long = ({ from, to }: Stretch) => time[to]! - time[from]! >= WORKED.stretch;
  return found.reduce<Stretch[]>((kept, one) => {
    const last = kept.at(-1);
    if (!last) return [{ ...one, from: 0 }];
    if (long(one) && one.phase !== last.phase) return [...kept, one];
    return [...kept.slice(0, -1), { ...last, to: one.to }];
  }, []);
}

const SAYS: Readonly<Record<Phase, { readonly title: string; readonly says: string }>> = {
  ahead: { title: 'ahead', says: 'ahead, in and out of gear' },
  astern: { title: 'astern', says: 'astern, in and out of gear, kicks ahead to straighten' },
  'turn to port': { title: 'turn to port', says: 'bursts ahead and astern' },
  'turn to starboard': { title: 'turn to starboard', says: 'bursts ahead and astern' },
};

/** A heading to five degrees, as a compass is read. */
const fives = (radians: number) => compassOf(5 * Math.round(degrees(radians) / 5));

/** How far ahead of midships a mark lies at a moment of a run, and how far aside, m. */
function offBoat({ trace }: Run, i: number, { x, y }: MarkOnPlace) {
  const [s, c] = [sin(trace.heading[i]!), cos(trace.heading[i]!)];
  const [east, north] = [x - trace.x[i]!, y - trace.y[i]!];
  return { ahead: east * s + north * c, aside: Math.abs(east * c - north * s) };
}

/** The mark that comes abeam as a stretch begins, the nearest of those that do: ahead as the one before it began, and near enough to be told. */
function abeamAt(
  run: Run,
  before: number,
  from: number,
  marks: readonly MarkOnPlace[],
): MarkOnPlace | null {
  let nearest: number = WORKED.marks.within;
  let found: MarkOnPlace | null = null;
  for (const mark of marks) {
    if (mark.boat !== undefined) continue;
    const now = offBoat(run, from, mark);
    const then = offBoat(run, before, mark);
    if (Math.abs(now.ahead) > WORKED.marks.abeam || then.ahead < WORKED.marks.ahead) continue;
    if (now.aside >= nearest) continue;
    nearest = now.aside;
    found = mark;
  }
  return found;
}

/** What shows that a stretch begins: sternway, a mark abeam, a heading, or else a count of seconds; whoever is there already goes through at once. */
function cueFor(
  { phase, from }: Stretch,
  before: Stretch | undefined,
  run: Run,
  marks: readonly MarkOnPlace[],
): CueDocument {
  const { heading, time } = run.trace;
  const began = before?.from ?? 0;
  const turned = Math.abs(wrapHalfTurn(heading[from]! - heading[began]!));
  const mark = abeamAt(run, began, from, marks);
  const seen: SimpleCue =
    phase === 'astern'
      ? { is: 'sternway' }
      : mark
        ? { is: 'abeam', point: 'midships', mark: mark.name }
        : turned > WORKED.turned
          ? { is: 'heading', heading_deg: fives(heading[from]!) }
          : { is: 'after', time_s: Math.max(1, Math.round(time[from]! - time[began]!)) };
  return { is: 'any', of: [seen, { is: 'done' }] };
}

/** A step a run is told in: what it is called, what is said there, and what shows that it begins. */
export interface ToldStep {
  readonly title: string;
  readonly says: string;
  readonly cue: CueDocument;
}

/** Do engines drive against one another in a stretch? */
const opposed = ({ trace }: Run, { from, to }: Stretch): boolean =>
  trace.time
    .slice(from, to + 1)
    .some((_, i) =>
      [1, -1].every((way) => trace.engines.some(({ gear }) => gear[from + i]! === way)),
    );

/** Where the wheel is for most of a stretch, as the run has it: astern or with engines opposed that may be the other way than the boat turns. */
function wheelIn({ trace }: Run, { from, to }: Stretch): string {
  const angles = trace.rudder.slice(from, to + 1);
  const mean = angles.reduce((sum, angle) => sum + angle, 0) / angles.length;
  if (Math.abs(mean) < WORKED.wheel) return '';
  return `wheel to ${mean < 0 ? 'port' : 'starboard'}, `;
}

/** Has the boat hardly any way in a stretch? */
const still = ({ trace }: Run, { from, to }: Stretch): boolean =>
  trace.surge.slice(from, to + 1).every((way) => Math.abs(way) < WORKED.hardly);

/** What is said of a stretch, and what the step is called. @param last is it the last of several? */
function saidOf(stretch: Stretch, run: Run, last: boolean): Pick<ToldStep, 'title' | 'says'> {
  const { title, says } = SAYS[stretch.phase];
  const to = String(fives(run.trace.heading[stretch.to]!)).padStart(3, '0');
  switch (stretch.phase) {
    case 'turn to port':
    case 'turn to starboard': {
      const by = opposed(run, stretch) ? 'engines against one another, ' : '';
      return { title, says: `${by}${wheelIn(run, stretch)}${says}, to ${to}°` };
    }
    case 'astern':
      return { title, says };
    case 'ahead':
      return last && still(run, stretch)
        ? { title: 'way off', says: 'a touch ahead or astern, until all is still' }
        : { title, says };
  }
}

/** A run of a boat that is worked, told in steps; turns with the heading they go to. @param marks what can be seen and named of the place */
export function toldIn(run: Run, marks: readonly MarkOnPlace[]): ToldStep[] {
  return stretchesOf(run)
    .slice(0, WORKED.steps)
    .map((stretch, i, all) => ({
      ...saidOf(stretch, run, i > 0 && i === all.length - 1),
      cue: cueFor(stretch, all[i - 1], run, marks),
    }));
}
