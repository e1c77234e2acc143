import { generatedOwners } from '@/document/testing/generated';
import { boatFromOwner, toBoatSpec } from '@/document';
import { assembleCraft } from '@/core/boat';
import { NO_LINES, obstacleSetOf, solidObstacle } from '@/core/holding';
import { environmentFor, orderEngine, orderRudder, Simulation, X, Y, PSI } from '@/core/simulation';
import { CALM } from '@/core/trials/open-water';
import { FLEET } from './fleet';
const list = [...FLEET.map((f) => ({ id: f.id, owner: f.owner })), ...generatedOwners()].filter(
  (d) => d.owner.length_m < 40 && d.owner.engines > 0,
);
const ids = process.argv.slice(2);
for (const { id, owner } of list) {
  if (ids.length && !ids.includes(id)) continue;
  const craft = assembleCraft(
    toBoatSpec(boatFromOwner(owner, { id, name: id, kind: 'k', note: '' })),
  );
  const L = craft.spec.hull.length;
  const run = (dt: number, which: number) => {
    const wall = solidObstacle(
      'w',
      'wall',
      Float64Array.from([-300, 0.5 * L, 300, 0.5 * L, 300, 0.5 * L + 3, -300, 0.5 * L + 3]),
      { friction: 0.3, stiffness: 1e6 },
    );
    const heading = [0.25, Math.PI / 2 - 0.35, Math.PI / 2 - 0.2][which]!;
    const world = {
      craft,
      obstacles: [wall],
      environment: environmentFor(craft, { ...CALM, windFrom: Math.PI * 0.9, windSpeed: 5 }),
      lines: NO_LINES,
      shore: obstacleSetOf([wall]),
    };
    const sim = Simulation.at(world, { x: 0, y: -0.3 * L, heading, speed: 0.4 });
    craft.spec.drives.forEach((d, i) => orderEngine(sim.state.engines[i]!, d, 1, 0));
    orderRudder(sim.state, craft, [0.3, -0.5, 1][which]! * craft.limits[0]!);
    const out: number[] = [];
    let t = 0;
    let phase = 0;
    while (t < 60 - 1e-9) {
      if (phase === 0 && t >= 25 - 1e-9) {
        phase = 1;
        craft.spec.drives.forEach((d, i) => orderEngine(sim.state.engines[i]!, d, -1, 0.2));
      }
      if (phase === 1 && t >= 32 - 1e-9) {
        phase = 2;
        craft.spec.drives.forEach((d, i) => orderEngine(sim.state.engines[i]!, d, 1, 0.1));
        orderRudder(sim.state, craft, -0.6 * craft.limits[0]!);
      }
      const next = Math.min(dt, sim.timeToEvent(), (phase === 0 ? 25 : phase === 1 ? 32 : 60) - t);
      sim.advance(next);
      t += next;
    }
    out.push(sim.state.motion[X]!, sim.state.motion[Y]!, sim.state.motion[PSI]!);
    return out;
  };
  const worst = [0, 1, 2].map((w) => {
    const a = run(0.1, w),
      b = run(0.0125, w),
      c = run(0.025, w);
    const d = (p: number[], q: number[]) => (Math.hypot(p[0]! - q[0]!, p[1]! - q[1]!) / L) * 100;
    return `${d(a, b).toFixed(2)}/${d(c, b).toFixed(2)}`;
  });
  console.log(id.padEnd(28), worst.join('   '));
}
