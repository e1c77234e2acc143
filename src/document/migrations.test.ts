import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { z } from 'zod';
import { fingerprintOf } from '@/core/testing/fingerprint';
import {
  boatSchema,
  check,
  drivenFileSchema,
  manoeuvreSchema,
  ownTechniqueSchema,
  placeSchema,
  runFileSchema,
  toDrive,
  toFile,
  type DrivenFile,
  type Manoeuvre,
  type OwnTechnique,
  type Place,
  type RunFile,
} from './';
import { BOAT_MIGRATIONS } from './boat-migrations';
import { MANOEUVRE_MIGRATIONS } from './manoeuvre-migrations';
import { PLACE_MIGRATIONS } from './place-migrations';
import { DRIVEN_MIGRATIONS } from './recording-migrations';
import { RUN_MIGRATIONS } from './run-migrations';
import { TECHNIQUE_MIGRATIONS } from './technique-migrations';
import { demoFile } from './testing/demo';
import { runOf } from './testing/demo-runs';

const old = (name: string): unknown =>
  JSON.parse(
    readFileSync(join(process.cwd(), 'src/document/testing/version-1', `${name}.json`), 'utf8'),
  );

function read<T>(schema: z.ZodType<T>, name: string): T {
  const checked = check<T>(schema, old(name));
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return checked.value;
}

const KINDS = {
  manoeuvre: [manoeuvreSchema, MANOEUVRE_MIGRATIONS],
  place: [placeSchema, PLACE_MIGRATIONS],
  driven: [drivenFileSchema, DRIVEN_MIGRATIONS],
  run: [runFileSchema, RUN_MIGRATIONS],
  technique: [ownTechniqueSchema, TECHNIQUE_MIGRATIONS],
} as const;

describe('files of the first version', () => {
  it.each(Object.entries(KINDS))(
    'a %s opens, is written in the version of today, and comes back as it went',
    (name, [schema, migrations]) => {
      expect(old(name)).toMatchObject({ version: 1 });
      const value = read<unknown>(schema as z.ZodType<unknown>, name);
      expect(value).toMatchObject({ version: migrations.length + 1 });
      const text = JSON.stringify(value);
      expect(check(schema as z.ZodType<unknown>, JSON.parse(text))).toEqual({ ok: true, value });
      expect(text).not.toMatch(/"(score|beats|beat|stream|say|seconds|take)":/);
    },
  );

  it('every migration there is was run on one of them', () => {
    for (const [, migrations] of Object.values(KINDS)) expect(migrations).toHaveLength(1);
    // The first version of a boat is tried where boats are.
    expect(BOAT_MIGRATIONS).toHaveLength(1);
  });

  it('a manoeuvre with people who step, written anew, runs to the last bit as it did', () => {
    const {
      boatId: _boat,
      placeId: _place,
      ...rest
    } = read<Manoeuvre>(manoeuvreSchema, 'manoeuvre');
    const { boat, place } = demoFile(rest.id);
    const record: Manoeuvre = { ...rest, boatId: boat.id, placeId: place.id };
    const file = toFile(record, boat, place);
    const orders = file.plan.steps.flatMap((step) => step.orders.map((order) => order.do));
    expect(orders).toContain('stepAboard');
    expect(file.plan.steps.map(({ id }) => id)).toEqual(
      demoFile(rest.id).plan.steps.map(({ id }) => id),
    );
    const again = check<Manoeuvre>(manoeuvreSchema, JSON.parse(JSON.stringify(record)));
    if (!again.ok) throw new Error(JSON.stringify(again.problems));
    expect(fingerprintOf(runOf(toFile(again.value, boat, place)))).toEqual(
      fingerprintOf(runOf(file)),
    );
  });

  it('a place keeps the currents of its tide, a run its summary, a technique its plan', () => {
    expect(read<Place>(placeSchema, 'place').tide?.current?.hours.length).toBeGreaterThan(1);
    const { summary } = read<RunFile>(runFileSchema, 'run');
    expect(summary.steps.length).toBeGreaterThan(0);
    expect(summary.events.filter(({ is, step }) => is === 'step' && step !== null)).toHaveLength(
      summary.steps.length,
    );
    const technique = read<OwnTechnique>(ownTechniqueSchema, 'technique');
    expect(technique.plan.steps.map(({ id }) => id)).toEqual(
      demoFile('off-stilt-pontoon').plan.steps.map(({ id }) => id),
    );
  });

  it('a driven run is played as it was driven', () => {
    const file = read<DrivenFile>(drivenFileSchema, 'driven');
    expect(file.recording.timesteps).toBe(60);
    const drive = toDrive(file);
    if (!drive.ok) throw new Error(JSON.stringify(drive.problems));
    expect(drive.value.recording.inputs.map(({ timestep }) => timestep)).toEqual([2, 20]);
    expect(drive.value.recording.surprises).toMatchObject([{ is: 'current', at: 2, over: 3 }]);
  });

  it('leaves what is wrong to be told of by its name today', () => {
    const spoilt = { ...(old('manoeuvre') as object), score: { beats: [{ id: 7 }], end: {} } };
    const checked = check(manoeuvreSchema, spoilt);
    expect(checked.ok ? [] : checked.problems.map(({ path }) => path)).toContain(
      'plan.steps[0].id',
    );
    for (const value of [null, [], 'score', { version: 1 }, { version: 1, score: 3 }])
      for (const [schema] of Object.values(KINDS))
        expect(check(schema as z.ZodType<unknown>, value).ok).toBe(false);
    expect(check(boatSchema, { version: 1 }).ok).toBe(false);
  });
});

it('a check set aside under the name its rule had before stays set aside', () => {
  const now = read<Manoeuvre>(manoeuvreSchema as z.ZodType<Manoeuvre>, 'manoeuvre');
  const kept = { ...now, dismissed: ['hands not there/slip/0', 'steps at once/slip'] };
  const checked = check<Manoeuvre>(manoeuvreSchema as z.ZodType<Manoeuvre>, kept);
  expect(checked).toMatchObject({
    ok: true,
    value: { dismissed: ['crew not there/slip/0', 'steps at once/slip'] },
  });
});
