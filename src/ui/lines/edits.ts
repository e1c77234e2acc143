import {
  check,
  crewSchema,
  hungSchema,
  linesSchema,
  success,
  type BeatDocument,
  type CueDocument,
  type LineDocument,
  type OrderDocument,
  type PersonDocument,
  type Result,
  type ScoreDocument,
} from '@/document';

export type Fender = ScoreDocument['fenders'][number];
type What = 'line' | 'by';

function renamedIn<T extends object>(part: T, what: What, from: string, to: string): T {
  const held = part as T & Partial<Record<What, string>>;
  return held[what] === from ? { ...part, [what]: to } : part;
}

function renamedCue(cue: CueDocument, from: string, to: string): CueDocument {
  if (cue.is === 'any' || cue.is === 'all')
    return { ...cue, of: cue.of.map((part) => renamedIn(part, 'line', from, to)) };
  return renamedIn(cue, 'line', from, to);
}

/** The same score with a line or somebody of the crew called otherwise, wherever a beat names them. */
function renamed(score: ScoreDocument, what: What, from: string, to: string): ScoreDocument {
  const order = (one: OrderDocument) => renamedIn(one, what, from, to);
  const cue = (one: CueDocument) => (what === 'line' ? renamedCue(one, from, to) : one);
  return {
    ...score,
    beats: score.beats.map((beat): BeatDocument => ({
      ...beat,
      cue: cue(beat.cue),
      orders: beat.orders.map(order),
      expect: beat.expect.map((e) => (what === 'line' ? renamedIn(e, 'line', from, to) : e)),
      wayOut: { ...beat.wayOut, orders: beat.wayOut.orders.map(order) },
    })),
    end: { ...score.end, cue: cue(score.end.cue) },
  };
}

/** Number of the first beat that names a line or somebody, counted from 1; null for none. The end is the one after. */
export function beatNaming({ beats, end }: ScoreDocument, what: What, name: string): number | null {
  const names = (part: object) => (part as Partial<Record<What, string>>)[what] === name;
  const cueNames = (cue: CueDocument) =>
    cue.is === 'any' || cue.is === 'all' ? cue.of.some(names) : names(cue);
  const found = beats.findIndex(
    (beat) =>
      cueNames(beat.cue) ||
      [...beat.orders, ...beat.expect, ...beat.wayOut.orders].some((part) => names(part)),
  );
  if (found >= 0) return found + 1;
  return cueNames(end.cue) ? beats.length + 1 : null;
}

function replaced<T>(list: readonly T[], index: number, next: T | null): T[] {
  return next === null
    ? list.filter((_, i) => i !== index)
    : list.map((one, i) => (i === index ? next : one));
}

/** A line changed, or taken out with null; a new name goes through the whole score. */
export function withLine(
  score: ScoreDocument,
  index: number,
  next: LineDocument | null,
): Result<ScoreDocument> {
  const lines = check(linesSchema, replaced(score.lines, index, next));
  if (!lines.ok) return lines;
  const from = score.lines[index]!.name;
  const to = lines.value[index]?.name;
  const named = next && to && to !== from ? renamed(score, 'line', from, to) : score;
  return success({ ...named, lines: lines.value });
}

export function withPerson(
  score: ScoreDocument,
  index: number,
  next: PersonDocument | null,
): Result<ScoreDocument> {
  const crew = check(crewSchema, replaced(score.crew, index, next));
  if (!crew.ok) return crew;
  const from = score.crew[index]!.name;
  const to = crew.value[index]?.name;
  const named = next && to && to !== from ? renamed(score, 'by', from, to) : score;
  return success({ ...named, crew: crew.value });
}

/** A fender hung, changed, or taken in with null. */
export function withFender(
  score: ScoreDocument,
  index: number,
  next: Fender | null,
): Result<ScoreDocument> {
  const list = index < score.fenders.length ? score.fenders : [...score.fenders, next!];
  const fenders = check(hungSchema, replaced(list, index, next));
  return fenders.ok ? success({ ...score, fenders: fenders.value }) : fenders;
}

/** A name not used yet: "bow line", "bow line 2". */
export function freshName(taken: readonly { readonly name: string }[], wish: string): string {
  const used = new Set(taken.map(({ name }) => name));
  if (!used.has(wish)) return wish;
  let n = 2;
  while (used.has(`${wish} ${n}`)) n += 1;
  return `${wish} ${n}`;
}

/** A fender for where she may touch: at the shoulder, of a size for her. */
export function freshFender(score: ScoreDocument, length: number): Fender {
  const diameter_m = Math.max(0.2, Math.round(0.25 * length) / 10);
  return {
    name: freshName(score.fenders, 'roving fender'),
    x_m: Math.round(0.4 * length * 10) / 10,
    side: 'port',
    diameter_m,
    length_m: Math.round(3 * diameter_m * 10) / 10,
    pressure_kPa: 15,
    loss_spm: 1,
  };
}
