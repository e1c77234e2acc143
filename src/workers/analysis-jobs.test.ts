import { FAN_TRIES } from '@/core/policy';
import { check } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { lockAt, SMALL_BOAT } from '@/core/testing/locks';
import type { AnalysisName, TriedPart } from './analyses';
import { howSure, joinTries, NO_TRIES } from './how-sure';
import { JOBS, type Job } from './analysis-jobs';

const file = demoFile('off-stilt-pontoon');
const { boat, place, conditions } = file;
const { lock, begins } = lockAt();
const fix = (t_s: number) => ({
  t_s,
  x_m: t_s,
  y_m: 0,
  heading_deg: 90,
  sog_mps: 1,
  cog_deg: 90,
  stw_mps: null,
  windAngle_deg: null,
  wind_mps: null,
  depth_m: null,
});
const record = {
  $schema: 'yawtrope:record',
  version: 1,
  id: '4f9c2c8e-6a3b-4d0f-9c1d-2b7a5e8f1a90',
  manoeuvreId: file.id,
  name: 'track',
  source: 'file',
  begins: '2026-05-01T10:00:00Z',
  aerial: { x_m: 0, y_m: 0 },
  fixes: [0, 1, 2, 3].map(fix),
  counts: { sentences: 4, used: 4, bad: {}, unused: {} },
};
const NOTHING_VARIED = {};
const GIVEN: Readonly<Record<AnalysisName, Record<string, unknown>>> = {
  brief: { file },
  survey: { file, variation: NOTHING_VARIED },
  certify: { file, variation: NOTHING_VARIED },
  rose: { file, variation: NOTHING_VARIED },
  grid: { file, variation: NOTHING_VARIED, winds: { from_deg: [330], speeds_mps: [3] } },
  tune: { file },
  propose: { file, technique: 'drop-off-and-away' },
  suggest: { file, seconds: 1 },
  compare: { file },
  day: { file, day: { anemometer: null }, moments: [] },
  hold: { file: demoFile('sprung-off-the-pontoon'), motored: { gear: 0, throttle: 0, wheel: 0 } },
  outlook: { boat, place, conditions, berthId: place.berths[0]?.id ?? null, passage: null },
  lookOver: { boat, place, berth: [], records: [record] },
  lockOutlook: { lock, state: begins, boat: SMALL_BOAT },
  lockFigures: { lock, boat: SMALL_BOAT, coping: 3 },
};
const jobOf = (name: AnalysisName) => JOBS[name] as Job<unknown, unknown, unknown>;

/** The first pieces of a job, told together. */
function begun(name: AnalysisName, given: unknown, most = 2): unknown {
  const job = jobOf(name);
  const asked = check<unknown>(job.given, given);
  if (!asked.ok) throw new Error(`${name}: ${JSON.stringify(asked.problems)}`);
  const found: unknown[] = [];
  for (const piece of job.pieces(asked.value)) {
    if (!piece.ok) throw new Error(`${name}: ${JSON.stringify(piece.problems)}`);
    found.push(piece.value);
    if (found.length >= most) break;
  }
  return job.bundle(found);
}

it.each([
  'brief',
  'survey',
  'certify',
  'grid',
  'tune',
  'propose',
  'suggest',
  'hold',
  'outlook',
  'lookOver',
  'lockOutlook',
  'lockFigures',
] as const)('%s finds something of what it is given', (name) => {
  expect(begun(name, GIVEN[name])).not.toBeNull();
});

it.each(Object.keys(GIVEN) as AnalysisName[])('%s refuses what it is not given right', (name) => {
  const { given } = jobOf(name);
  for (const wrong of [null, {}, { ...GIVEN[name], file: {} }, { ...GIVEN[name], more: 1 }])
    expect(check(given, wrong).ok).toBe(false);
});

it('a survey told in parts holds each part once', () => {
  const two = begun('survey', GIVEN.survey, 2) as { surveyed: unknown[] };
  expect(two.surveyed).toHaveLength(2);
});

describe('tries', () => {
  /** All the tries, as if no time went by, shared by so many workers. */
  const triedBy = (of: number, late_s: number) => {
    jest.spyOn(performance, 'now').mockReturnValue(0);
    const variation = { ...NOTHING_VARIED, late_s };
    const parts = Array.from({ length: of }, (_, at) => {
      const given = { file, variation, part: { at, of } };
      return begun('certify', given, Infinity) as TriedPart;
    });
    jest.restoreAllMocks();
    return parts.reduce(joinTries, NO_TRIES);
  };

  it('of what is made otherwise are told with the same ones as it is told', () => {
    const varied = howSure(triedBy(1, 5))!;
    const plain = howSure(triedBy(1, 0))!;
    expect(plain.asTold).toBeNull();
    expect(plain.fan).toMatchObject({ tries: FAN_TRIES });
    // Common draws: what is told beside it is what is told alone.
    expect(varied.asTold).toEqual(plain.certificate);
    expect(varied.certificate.share).not.toBe(varied.asTold?.share);
  });

  it('shared among workers come to the same, each try once', () => {
    const alone = triedBy(1, 0);
    const shared = triedBy(3, 0);
    expect(shared.trials).toEqual(alone.trials);
    expect(howSure(shared)).toEqual(howSure(alone));
    // One worker that was begun again tells its tries a second time.
    const again = shared.trials.filter(({ run }) => run % 3 === 1);
    const told = {
      part: { at: 1, of: 3 },
      trials: again,
      through: true,
      asTold: [],
      told: false,
    };
    expect(joinTries(shared, told)).toEqual(shared);
  });

  it('tell nothing before there are enough, and lay nothing on the water before all are in', () => {
    const some = begun('certify', { ...GIVEN.certify, part: { at: 0, of: 2 } }, 12) as TriedPart;
    const so = joinTries(NO_TRIES, some);
    expect(howSure(so)).toBeNull();
    const more = {
      ...some,
      part: { at: 1, of: 2 },
      trials: some.trials.map((t) => ({ ...t, run: t.run + 1 })),
    };
    const enough = howSure(joinTries(so, more))!;
    expect(enough.certificate.runs).toBe(24);
    expect(enough.fan).toBeNull();
  });

  it('are refused for a part there is none of', () => {
    for (const part of [
      { at: 2, of: 2 },
      { at: -1, of: 2 },
      { at: 0, of: 0 },
    ])
      expect(check(jobOf('certify').given, { ...GIVEN.certify, part }).ok).toBe(false);
  });
});

it('a technique that is not for the manoeuvre is told with its reason, and nothing else', () => {
  const job = jobOf('propose');
  const pieces = [...job.pieces({ file, technique: 'slip-bow-in' })];
  expect(pieces).toEqual([
    { ok: true, value: { refused: { why: 'other goal', for: 'lie', is: 'clear' } } },
  ]);
});
