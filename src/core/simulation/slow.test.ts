import { box } from '../testing/manoeuvre';
import { sloop } from '../testing/boats';
import { rig, run, type Rig } from '../testing/rig';
import { AGAIN, Ledger, kineticEnergy, orderEngine, orderRudder, TIMESTEP_S, X, Y } from './';
import { derivative } from './derivative';

/** A sloop pressed on a quay to starboard by the wind, the boat's screw ahead and its wheel over against it. */
function pressed(inGear = true): Rig {
  const r = rig(sloop(), {
    weather: { windFrom: -Math.PI / 2, windSpeed: 6 },
    obstacles: [box('quay', 1.95, -60, 20, 60)],
  });
  const drive = r.world.craft.spec.drives[0]!;
  orderEngine(r.state.engines[0]!, drive, 1, 0.1);
  // In gear already: when a clutch takes hold is not what is asked here, unless it is.
  if (inGear)
    Object.assign(r.state.engines[0]!, { engaged: 1, engagesIn: Infinity, rps: drive.idleRps });
  orderRudder(r.state, r.world.craft, -0.3);
  return r;
}

/** Runs it, and counts the stages by how they came by what acts slowly. */
function counted(r: Rig, seconds: number): { ends: number; steps: number } {
  let ends = 0;
  let steps = 0;
  run(
    r,
    seconds,
    () => {
      steps += 1;
      if (r.scratch.slowly && r.scratch.stages.straight) ends += 1;
    },
    TIMESTEP_S,
  );
  return { ends, steps };
}

describe('what acts slowly, while something touches', () => {
  it('is taken on to the end of most steps, and she goes as she does in steps an eighth as long', () => {
    const r = pressed();
    const { ends, steps } = counted(r, 30);
    expect(ends / steps).toBeGreaterThan(0.5);
    const fine = pressed();
    run(fine, 30, undefined, TIMESTEP_S / 8);
    // The boat has gone some way along the quay.
    expect(r.state.motion[Y]).toBeGreaterThan(3);
    expect(Math.abs(r.state.motion[X]! - fine.state.motion[X]!)).toBeLessThan(1e-3);
    expect(Math.abs(r.state.motion[Y]! - fine.state.motion[Y]!)).toBeLessThan(5e-3);
  });

  it('is booked as it was taken: the books close', () => {
    const r = pressed();
    const ledger = new Ledger();
    const before = kineticEnergy(r.state, r.world.craft);
    run({ ...r, ledger }, 30, undefined, TIMESTEP_S);
    const change = kineticEnergy(r.state, r.world.craft) - before;
    const total = ledger.work.reduce((sum, joules) => sum + joules, 0);
    const moved = ledger.work.reduce((sum, joules) => sum + Math.abs(joules), 0);
    expect(moved).toBeGreaterThan(1000);
    expect(Math.abs(total - change) / moved).toBeLessThan(1e-3);
  });

  it('is looked at at every stage with nothing to touch, and where a screw takes hold', () => {
    const free = rig(sloop(), { weather: { windSpeed: 6 } });
    expect(counted(free, 2).ends).toBe(0);
    const r = pressed(false);
    let first = -1;
    let time = 0;
    run(
      r,
      6,
      () => {
        time += TIMESTEP_S;
        const { engaged, rps } = r.state.engines[0]!;
        if (first < 0 && engaged === 1 && rps > 0) {
          first = time;
          expect(r.scratch.stages.straight).toBe(false);
        }
      },
      TIMESTEP_S,
    );
    expect(first).toBeGreaterThan(0);
  });

  it('goes on in a straight line through start and middle', () => {
    const r = pressed();
    run(r, 5, undefined, TIMESTEP_S);
    const { scratch: s, state } = r;
    const rates = new Float64Array(6);
    const forceAt = (again: number, slow: readonly number[]) => {
      s.slow.set(slow);
      s.again = again;
      derivative(rates, state.motion, r, 2);
      return s.force.slice();
    };
    const nothing = forceAt(AGAIN.END, [0, 0, 0, 0, 0, 0]);
    const end = forceAt(AGAIN.END, [1, 2, 3, 10, 30, 50]);
    const middle = forceAt(AGAIN.MIDDLE, [1, 2, 3, 10, 30, 50]);
    [19, 58, 97].forEach((more, i) => expect(end[i]! - nothing[i]!).toBeCloseTo(more, 6));
    [10, 30, 50].forEach((more, i) => expect(middle[i]! - nothing[i]!).toBeCloseTo(more, 6));
  });
});
