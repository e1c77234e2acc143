import { holdBack, runTake, type HeldBack } from '@/core/score';
import type { ManoeuvreFile } from './manoeuvre';
import { retimed } from './retime';
import { toRunInput } from './run-input';
import { cueSchema, type CueDocument } from './score';
import { chosen, SWEEPING } from '@/core/testing/sweep';
import { DEMO_MANOEUVRES, demoFile } from './testing/demo';

const inputOf = (file: ManoeuvreFile) => {
  const input = toRunInput(file);
  if (!input.ok) throw new Error(input.problems[0]!.message);
  return input.value;
};

const withCue = (file: ManoeuvreFile, beat: number, cue: CueDocument): ManoeuvreFile => {
  const { score } = file;
  if (beat === score.beats.length)
    return { ...file, score: { ...score, end: { ...score.end, cue } } };
  return {
    ...file,
    score: { ...score, beats: score.beats.map((b, i) => (i === beat ? { ...b, cue } : b)) },
  };
};

const cueOf = ({ score }: ManoeuvreFile, beat: number) => (score.beats[beat] ?? score.end).cue;
/** When a beat comes; the score is cut short there, as what comes after it tells nothing. */
const timeOf = (file: ManoeuvreFile, beat: number) => {
  const { beats, end } = file.score;
  const within_s = beats[beat]?.within_s ?? end.within_s;
  const score = {
    ...file.score,
    beats: beats.slice(0, beat),
    end: { cue: cueOf(file, beat), within_s },
  };
  const take = runTake(inputOf({ ...file, score }));
  return take.outcome === 'cue never came' ? undefined : take.duration;
};

/** A boat held back, sampled each second for ten: a figure that falls by one a second, and one that stands. */
const held = (...parts: HeldBack['parts']): HeldBack => ({
  from: 0,
  times: Float64Array.from({ length: 11 }, (_, i) => i),
  parts,
});
const falling = Float64Array.from({ length: 11 }, (_, i) => 20 - i);

describe('a beat moved in time', () => {
  // Between them these have every kind of cue that goes by a figure.
  const demos = chosen(DEMO_MANOEUVRES, [
    'alongside-wind-off',
    'off-stilt-pontoon',
    'crosswind-slip',
    'quince-takes-a-slip',
    'two-hulls-in-a-calm',
    'glide-to-the-steps',
  ]);
  it('comes when it is asked to, for every beat of demos that goes by a figure', () => {
    const off: number[] = [];
    for (const name of demos) {
      const file = demoFile(name);
      const take = runTake(inputOf(file));
      for (let beat = 1; beat <= file.score.beats.length; beat++) {
        const before = take.beats[beat - 1]!.time;
        const now = take.beats[beat]?.time ?? take.duration;
        const held = holdBack(inputOf(file), beat, now - before + 20)!;
        expect(held.from).toBeCloseTo(before, 9);
        for (const at of [before + 0.6 * (now - before), now + 0.7]) {
          const moved = retimed(cueOf(file, beat), held, at);
          if (!moved.ok) continue;
          expect(cueSchema.safeParse(moved.cue).success).toBe(true);
          const found = timeOf(withCue(file, beat, moved.cue), beat);
          if (found !== undefined) off.push(Math.abs(found - at));
        }
      }
    }
    expect(off.length).toBeGreaterThan(SWEEPING ? 120 : 20);
    // What is written is rounded: where the figure hardly moves, that is seconds; where it turns back, it comes earlier.
    const near = off.filter((by) => by < 0.35).length;
    expect(near / off.length).toBeGreaterThan(0.95);
  });

  it('keeps what kind of cue it is', () => {
    const file = demoFile('alongside-wind-off');
    const take = runTake(inputOf(file));
    file.score.beats.forEach(({ cue }, beat) => {
      if (beat === 0) return;
      const now = take.beats[beat]!.time;
      const moved = retimed(cue, holdBack(inputOf(file), beat, 120)!, now + 0.3);
      if (moved.ok) expect(moved.cue.is).toBe(cue.is);
    });
  });

  it('says why where it cannot be', () => {
    const none = held({ moment: 4, figures: null });
    expect(retimed({ is: 'stopped' }, none, 6)).toEqual({ ok: false, why: 'no figure' });
    const one = held({ moment: 4, figures: falling });
    const near = { is: 'within', point: 'bow', mark: 'm', distance_m: 16 } as const;
    expect(retimed(near, one, 12)).toEqual({ ok: false, why: 'not reached' });
    expect(retimed(near, one, 6.25)).toEqual({ ok: true, cue: { ...near, distance_m: 13.8 } });
  });

  it('does not go by a figure that stands', () => {
    const still = held({ moment: 0, figures: Float64Array.from({ length: 11 }, () => 0.8) });
    expect(retimed({ is: 'heading', heading_deg: 46 }, still, 6)).toEqual({
      ok: false,
      why: 'stands',
    });
  });

  it('moves of any the one that comes first, of all the one that comes last', () => {
    const near = { is: 'within', point: 'bow', mark: 'm', distance_m: 16 } as const;
    const both = held({ moment: 4, figures: falling }, { moment: 8, figures: null });
    const any = { is: 'any', of: [near, { is: 'stopped' }] } as const;
    const all = { is: 'all', of: [near, { is: 'stopped' }] } as const;
    expect(retimed(any as unknown as CueDocument, both, 6)).toEqual({
      ok: true,
      cue: { is: 'any', of: [{ ...near, distance_m: 14 }, { is: 'stopped' }] },
    });
    // Stopped before that, the group has come already.
    expect(retimed(any as unknown as CueDocument, both, 9)).toEqual({
      ok: false,
      why: 'another part',
    });
    expect(retimed(all as unknown as CueDocument, both, 6)).toEqual({
      ok: false,
      why: 'another part',
    });
    expect(retimed(all as unknown as CueDocument, both, 9)).toEqual({
      ok: true,
      cue: { is: 'all', of: [{ ...near, distance_m: 11 }, { is: 'stopped' }] },
    });
  });

  it('is null where the beat before is never come to', () => {
    const file = demoFile('alongside-wind-off');
    const fast = { is: 'speed', over: 'water', compare: 'above', speed_mps: 19 } as const;
    expect(holdBack(inputOf(withCue(file, 1, fast)), 3, 60)).toBeNull();
  });
});
