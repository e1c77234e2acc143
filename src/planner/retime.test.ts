import { holdBack, runPlan, type HeldBack } from '@/core/plan';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { retimed } from './retime';
import { toRunInput } from '@/document/run-input';
import { cueSchema, type CueDocument } from '@/document/plan';
import { chosen, SWEEPING } from '@/core/testing/sweep';
import { DEMO_MANOEUVRES, demoFile } from '@/document/testing/demo';

const inputOf = (file: ManoeuvreFile) => {
  const input = toRunInput(file);
  if (!input.ok) throw new Error(input.problems[0]!.message);
  return input.value;
};

const withCue = (file: ManoeuvreFile, step: number, cue: CueDocument): ManoeuvreFile => {
  const { plan } = file;
  if (step === plan.steps.length) return { ...file, plan: { ...plan, end: { ...plan.end, cue } } };
  return {
    ...file,
    plan: { ...plan, steps: plan.steps.map((b, i) => (i === step ? { ...b, cue } : b)) },
  };
};

const cueOf = ({ plan }: ManoeuvreFile, step: number) => (plan.steps[step] ?? plan.end).cue;
/** When a step comes; the plan is cut short there, as what comes after it tells nothing. */
const timeOf = (file: ManoeuvreFile, step: number) => {
  const { steps, end } = file.plan;
  const within_s = steps[step]?.within_s ?? end.within_s;
  const plan = {
    ...file.plan,
    steps: steps.slice(0, step),
    end: { cue: cueOf(file, step), within_s },
  };
  const run = runPlan(inputOf({ ...file, plan }));
  return run.outcome === 'cue never came' ? undefined : run.duration;
};

/** A boat held back, sampled each second for ten: a figure that falls by one a second, and one that stands. */
const held = (...parts: HeldBack['parts']): HeldBack => ({
  from: 0,
  times: Float64Array.from({ length: 11 }, (_, i) => i),
  parts,
});
const falling = Float64Array.from({ length: 11 }, (_, i) => 20 - i);

describe('a step moved in time', () => {
  // Between them these have every kind of cue that goes by a figure.
  const demos = chosen(DEMO_MANOEUVRES, [
    'alongside-wind-off',
    'off-stilt-pontoon',
    'crosswind-slip',
    'quince-takes-a-slip',
    'two-hulls-in-a-calm',
    'glide-to-the-steps',
  ]);
  it('comes when it is asked to, for every step of demos that goes by a figure', () => {
    const off: number[] = [];
    for (const name of demos) {
      const file = demoFile(name);
      const run = runPlan(inputOf(file));
      for (let step = 1; step <= file.plan.steps.length; step++) {
        const before = run.steps[step - 1]!.time;
        const now = run.steps[step]?.time ?? run.duration;
        const held = holdBack(inputOf(file), step, now - before + 20)!;
        expect(held.from).toBeCloseTo(before, 9);
        for (const at of [before + 0.6 * (now - before), now + 0.7]) {
          const moved = retimed(cueOf(file, step), held, at);
          if (!moved.ok) continue;
          expect(cueSchema.safeParse(moved.cue).success).toBe(true);
          const found = timeOf(withCue(file, step, moved.cue), step);
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
    const run = runPlan(inputOf(file));
    file.plan.steps.forEach(({ cue }, step) => {
      if (step === 0) return;
      const now = run.steps[step]!.time;
      const moved = retimed(cue, holdBack(inputOf(file), step, 120)!, now + 0.3);
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

  it('is null where the step before is never come to', () => {
    const file = demoFile('alongside-wind-off');
    const fast = { is: 'speed', over: 'water', compare: 'above', speed_mps: 19 } as const;
    expect(holdBack(inputOf(withCue(file, 1, fast)), 3, 60)).toBeNull();
  });
});
