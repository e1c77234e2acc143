import { U, X, Y } from '../simulation';
import { bareBody, jet, plainShaft, REFERENCE_HULL, sloop } from '../testing/boats';
import { rig, run } from '../testing/rig';
import { solidObstacle } from './';

describe('J5 friction along a quay', () => {
  /** A body without drag, pinned flat against a wall to starboard by a jet of 800 N, and pushed ahead by a screw. */
  function pinned(ahead: number, u: number) {
    const bare = bareBody({
      ...REFERENCE_HULL,
      touchStiffness: 20000,
      touchLoss: 5,
      deck: Float64Array.from([-4, -1, 4, -1, 4, 1, -4, 1]),
    });
    const boat = { ...bare, drives: [plainShaft(ahead)], thrusters: [jet(0, 800)] };
    const surface = { friction: 0.3, stiffness: 1e9 };
    const points = Float64Array.from([0.997, -90, 6, -90, 6, 90, 0.997, 90]);
    const r = rig(boat, { obstacles: [solidObstacle('w', 'wall', points, surface)], u });
    Object.assign(r.state.thrusters[0]!, { ordered: 1, power: 1 });
    if (ahead > 0) {
      const rps = boat.drives[0]!.idleRps;
      Object.assign(r.state.engines[0]!, { orderedGear: 1, engaged: 1, rps });
    }
    return r;
  }

  it.each([0.1, 0.05, 0.02])('slides to a stop in v m/μF, in steps of %f s', (h) => {
    const r = pinned(0, 0.4);
    let half = 0;
    let stopped = 0;
    run(
      r,
      12,
      () => {
        const u = r.state.motion[U]!;
        if (half === 0 && u < 0.2) half = r.state.time;
        if (stopped === 0 && u < 0.004) stopped = r.state.time;
        // Friction stops the boat and does not send it back, but that its pressed side springs.
        expect(u).toBeGreaterThan(-1e-3);
      },
      h,
    );
    expect(Math.abs(half / (0.2 / 0.045714286) - 1)).toBeLessThan(0.025);
    expect(Math.abs(stopped / 8.75 - 1)).toBeLessThan(0.02);
  });

  it('lets her slide at once when she comes to rest under more than μF, in any step', () => {
    const [coarse, fine] = [0.1, 0.01].map((h) => {
      const r = pinned(330, -0.05);
      run(r, 4, undefined, h);
      return r.state.motion[U]!;
    }) as [number, number];
    // Stopped after 0.46 s, then driven ahead by what is left of the boat's screw.
    expect(fine).toBeGreaterThan(0.03);
    expect(Math.abs(coarse / fine - 1)).toBeLessThan(0.05);
  });

  it('holds her against less than μF, and lets her go against more', () => {
    const held = pinned(200, 0);
    run(held, 10);
    const y = held.state.motion[Y]!;
    run(held, 60);
    // Five sixths of what it can hold: the boat creeps by millimetres a second at most.
    expect((held.state.motion[Y]! - y) / 60).toBeLessThan(0.001);
    const gone = pinned(300, 0);
    run(gone, 1);
    const u = gone.state.motion[U]!;
    run(gone, 2);
    // The boat's screw pushes a little less as it gathers way.
    const share = (gone.state.motion[U]! - u) / 2 / (60 / 5250);
    expect(share).toBeGreaterThan(0.9);
    expect(share).toBeLessThan(1.01);
  });

  it('slows a boat pinned by the wind and holds her there', () => {
    const r = rig(sloop(), {
      obstacles: [
        solidObstacle('q', 'q', Float64Array.from([1.9, -60, 8, -60, 8, 60, 1.9, 60]), {
          friction: 0.35,
          stiffness: 1e6,
        }),
      ],
      weather: { windFrom: -Math.PI / 2, windSpeed: 9 },
      u: 0.3,
    });
    run(r, 60);
    const y = r.state.motion[Y]!;
    run(r, 20);
    expect(Math.abs(r.state.motion[Y]! - y)).toBeLessThan(0.05);
    expect(r.state.motion[X]!).toBeLessThan(0.1);
  });
});
