import type { BeatDocument, ScoreDocument } from '@/document';
import { tidy } from '../words/units';

/** Edits of a score; each gives a new one and leaves the old as it was. */

/** An id no beat of the score has yet. */
export function freshBeatId(beats: readonly BeatDocument[]): string {
  for (let n = beats.length + 1; ; n++) {
    const id = `beat-${n}`;
    if (!beats.some((beat) => beat.id === id)) return id;
  }
}

/** A new beat before place `at`, to be filled in: five seconds on, nothing ordered. */
export function addBeat(score: ScoreDocument, at: number, id: string): ScoreDocument {
  const beat: BeatDocument = {
    id,
    title: '',
    cue: { is: 'after', seconds: 5 },
    within_s: 60,
    orders: [],
    expect: [],
    wayOut: { note: '', automatic: false, orders: [] },
  };
  return { ...score, beats: [...score.beats.slice(0, at), beat, ...score.beats.slice(at)] };
}

/** The same beat once more, right after itself. */
export function duplicateBeat(score: ScoreDocument, id: string, copyId: string): ScoreDocument {
  const at = score.beats.findIndex((beat) => beat.id === id);
  const beat = score.beats[at];
  if (!beat) return score;
  const copy = { ...structuredClone(beat), id: copyId };
  return { ...score, beats: [...score.beats.slice(0, at + 1), copy, ...score.beats.slice(at + 1)] };
}

/**
 * A beat cut in two `seconds` after it began: what was ordered from then on, what was expected by the next beat and the
 * way out go with the second.
 */
export function splitBeat(
  score: ScoreDocument,
  id: string,
  newId: string,
  seconds: number,
): ScoreDocument {
  const at = score.beats.findIndex((beat) => beat.id === id);
  const beat = score.beats[at];
  if (!beat || seconds <= 0) return score;
  const early = beat.orders.filter(({ after_s }) => after_s < seconds);
  const late = beat.orders.filter(({ after_s }) => after_s >= seconds);
  const soon = beat.expect.filter((e) => e.at !== 'next' && e.at.after_s < seconds);
  const later = beat.expect.filter((e) => !soon.includes(e));
  const second: BeatDocument = {
    id: newId,
    title: '',
    cue: { is: 'after', seconds: tidy(seconds, 1) },
    within_s: 60,
    orders: late.map((order) => ({ ...order, after_s: tidy(order.after_s - seconds, 2) })),
    expect: later.map((e) =>
      e.at === 'next' ? e : { ...e, at: { after_s: tidy(e.at.after_s - seconds, 2) } },
    ),
    wayOut: structuredClone(beat.wayOut),
  };
  const first = { ...beat, orders: early, expect: soon };
  return {
    ...score,
    beats: [...score.beats.slice(0, at), first, second, ...score.beats.slice(at + 1)],
  };
}

/** Without a beat; the last one stays, as a score needs one. */
export function removeBeat(score: ScoreDocument, id: string): ScoreDocument {
  if (score.beats.length < 2) return score;
  return { ...score, beats: score.beats.filter((beat) => beat.id !== id) };
}

/** A beat moved by places, earlier negative. */
export function moveBeat(score: ScoreDocument, id: string, by: number): ScoreDocument {
  const from = score.beats.findIndex((beat) => beat.id === id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= score.beats.length) return score;
  const beats = score.beats.slice();
  const [beat] = beats.splice(from, 1);
  beats.splice(to, 0, beat!);
  return { ...score, beats };
}
