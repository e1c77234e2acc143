import { runPlan } from '@/core/plan';
import { check, manoeuvreFileSchema, toFile, toRunInput, withBoat, type ManoeuvreFile } from './';

import { demoFile } from './testing/demo';
import { fleetRecord } from './testing/fleet';

// A manoeuvre written for one boat, sailed in another.

const { boat: quince, place, ...rest } = demoFile('alongside-wind-off');
const manoeuvre = { ...rest, boatId: quince.id, placeId: place.id };

function inBoat(id: string) {
  const boat = fleetRecord(id);
  const file = toFile(withBoat(manoeuvre, quince, boat), boat, place);
  const checked = check<ManoeuvreFile>(manoeuvreFileSchema, file);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return toRunInput(checked.value);
}

it.each(['wicket', 'fennick', 'pebble', 'lantern', 'dunlin-hatch', 'flotsam', 'tamarack-nell'])(
  'a boat of one engine is sailed as it stands: %s',
  (id) => {
    const input = inBoat(id);
    expect(input.ok ? [] : input.problems).toEqual([]);
    if (input.ok) expect(runPlan(input.value).duration).toBeGreaterThan(1);
  },
);

it('what she cannot do is said where it is ordered: a barge without engine, a boat without helm', () => {
  const barge = inBoat('long-measure');
  const said = (input: typeof barge) =>
    input.ok ? [] : input.problems.map(({ path, message }) => `${path}: ${message}`);
  expect(said(barge)).toContain(
    'plan.steps[0].orders[2].do: the boat has no engine; remove the order',
  );
  const boat = { ...fleetRecord('pebble'), rudders: [] };
  expect(said(toRunInput(toFile(manoeuvre, boat, place))).join()).toMatch(
    /orders\[\d\]\.do: the boat has neither rudder nor steered drive/,
  );
});

it('sailed in her own boat it is the same', () => {
  expect(withBoat(manoeuvre, quince, quince)).toEqual(manoeuvre);
});

it('orders go to the engine and thruster that stand in the same place, and come back', () => {
  const [brisling, quartet] = [fleetRecord('brisling'), fleetRecord('quartet')];
  const orders = [
    { do: 'engine', after_s: 0, engine: 'starboard engine', gear: 'astern', throttle: 0.2 },
    { do: 'engine', after_s: 1, gear: 'neutral', throttle: 0 },
    { do: 'thruster', after_s: 1, thruster: brisling.thrusters[0]!.name, power: 1 },
  ] as const;
  const [first, ...others] = manoeuvre.plan.steps;
  const steps = [{ ...first!, orders: [...orders] }, ...others];
  const twin = { ...manoeuvre, plan: { ...manoeuvre.plan, steps } };
  const four = withBoat(twin, brisling, quartet);
  expect(four.plan.steps[0]!.orders[0]).toMatchObject({ engine: quartet.drives[1]!.name });
  expect(four.plan.steps[0]!.orders[1]).not.toHaveProperty('engine');
  // The boat has no thruster: what was ordered of it keeps its name, and playing it says so.
  const input = toRunInput(toFile(four, quartet, place));
  expect(input.ok ? '' : input.problems.map((p) => `${p.path} ${p.message}`).join()).toMatch(
    /plan\.steps\[0\]\.orders\[2\]\.thruster the boat has no thruster of that name/,
  );
  expect(withBoat(four, quartet, brisling)).toEqual({ ...twin, boatId: 'brisling' });
});
