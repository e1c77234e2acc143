import { steadySpeed, OpenWater } from '@/core/trials';
import { generatedOwners } from '@/document/testing/generated';
import { boatFromOwner, toBoatSpec } from '@/document';
import { assembleCraft, FOIL, FOIL_COLUMNS, BLADE_COLUMNS } from '@/core/boat';
import {
  addFoil,
  addHullLift,
  addCrossFlow,
  addBlade,
  raceAtBlade,
  propellerFlow,
  FLOW_COLUMNS,
  setAxialFlow,
  addThrust,
  WORK,
  WORK_COLUMNS,
} from '@/core/forces';
import { FLEET } from './fleet';
for (const id of process.argv.slice(2)) {
  const owner = (FLEET.find((f) => f.id === id) ?? generatedOwners().find((f) => f.id === id))!
    .owner;
  const craft = assembleCraft(
    toBoatSpec(boatFromOwner(owner, { id, name: id, kind: 'k', note: '' })),
  );
  const L = craft.spec.hull.length;
  const water = OpenWater.of(craft, { speed: steadySpeed(craft, 1, 0) });
  water.engine(1, 0);
  water.until(() => water.time > 5, 60);
  water.wheel(1);
  water.run(240);
  const { ahead: u, sideways: v, rate: r } = water;
  console.log(
    id,
    'L',
    L,
    'mass',
    craft.spec.hull.mass,
    'u',
    u.toFixed(2),
    'v',
    v.toFixed(2),
    'r',
    r.toFixed(3),
    'R/L',
    (Math.hypot(u, v) / r / L).toFixed(2),
    'beta',
    (Math.atan2(-v, u) * 57.3).toFixed(1),
    'pivot',
    (-v / r / L).toFixed(2),
    'addedSway',
    craft.spec.hull.addedSway.toFixed(2),
    'addedYaw',
    craft.spec.hull.addedYaw.toFixed(2),
  );
  const work = new Float64Array(WORK_COLUMNS);
  const show = (name: string, f: Float64Array) =>
    console.log(
      '   ',
      name.padEnd(26),
      f[0]!.toFixed(0).padStart(7),
      f[1]!.toFixed(0).padStart(7),
      f[2]!.toFixed(0).padStart(8),
      ' lever/L',
      (f[2]! / f[1]! / L).toFixed(2),
    );
  const at = (x: number) => {
    work[WORK.SURGE] = u;
    work[WORK.SWAY] = v + x * r;
    work[WORK.YAW] = r;
    work[WORK.DENSITY] = 1025;
  };
  let f = new Float64Array(3);
  at(0);
  addCrossFlow(f, craft.strips, work);
  show('cross flow', f);
  f = new Float64Array(3);
  at(0);
  addHullLift(f, craft.hull, work);
  show('hull lift', f);
  const m = craft.mass;
  console.log(
    '    centripetal',
    (-(m.rigid + m.a11) * u * r).toFixed(0),
    'munk N',
    (-(m.a22 - m.a11) * u * v).toFixed(0),
  );
  for (let i = 0; i < craft.fins.count; i++) {
    f = new Float64Array(3);
    at(craft.fins.values[i * FOIL_COLUMNS + FOIL.X]!);
    addFoil(f, work, craft.fins.values, i * FOIL_COLUMNS);
    show('fin ' + craft.spec.foils[i]!.name, f);
  }
  const flows = new Float64Array(FLOW_COLUMNS * 4);
  craft.spec.drives.forEach((d, i) => {
    at(d.x);
    work[WORK.SIN] = 0;
    work[WORK.COS] = 1;
    work[WORK.RPS] = water.state.engines[i]!.rps;
    propellerFlow(flows, i * FLOW_COLUMNS, craft.drives.values, i * 15, work);
    f = new Float64Array(3);
    addThrust(f, flows, i * FLOW_COLUMNS, craft.drives.values, i * 15, work);
    show('thrust', f);
  });
  craft.spec.rudders.forEach((rd, i) => {
    at(rd.x);
    const a = water.state.angles[0]!;
    work[WORK.SIN] = Math.sin(a);
    work[WORK.COS] = Math.cos(a);
    const race = new Float64Array(3);
    setAxialFlow(work, craft.blades.values, i * BLADE_COLUMNS);
    if (rd.inRaceOf !== null)
      raceAtBlade(
        race,
        craft.blades.values,
        i * BLADE_COLUMNS,
        flows,
        0,
        craft.drives.values,
        0,
        work,
      );
    f = new Float64Array(3);
    addBlade(f, work, craft.blades.values, i * BLADE_COLUMNS, race);
    show('rudder race ' + race[0]!.toFixed(2) + ' cover ' + race[1]!.toFixed(2), f);
  });
}
