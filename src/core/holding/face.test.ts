import fc from 'fast-check';
import { CLOCK, derivative, lookAround, timestep, TIMESTEP_S, U } from '../simulation';
import { sloop } from '../testing/boats';
import { between } from '../testing/arbitrary';
import { rig } from '../testing/rig';
import { LIST, solidObstacle } from './';

const RIGID = { friction: 0, stiffness: 1e12 };

describe('a face that is one straight edge', () => {
  const surface = { friction: 0.3, stiffness: 1e7 };
  /** A slab 20 m by 3 m, turned and mirrored; its faces in one piece, or cut where that changes nothing. */
  const slab = (turn: number, way: 1 | -1, cuts: number) => {
    const corners: number[] = [];
    const round = [
      [-10, 0],
      [10, 0],
      [10, 3],
      [-10, 3],
    ] as const;
    round.forEach(([x, y], i) => {
      const [nextX, nextY] = round[(i + 1) % 4]!;
      for (let k = 0; k < cuts; k++) {
        const along = x + ((nextX - x) * k) / cuts;
        const over = way * (y + ((nextY - y) * k) / cuts);
        corners.push(
          along * Math.cos(turn) - over * Math.sin(turn),
          along * Math.sin(turn) + over * Math.cos(turn),
        );
      }
    });
    return solidObstacle('slab', 'slab', Float64Array.from(corners), surface);
  };

  it('is met as the same face in many pieces is, whichever way it lies', () => {
    let touched = 0;
    fc.assert(
      fc.property(
        between(-Math.PI, Math.PI),
        fc.constantFrom(1 as const, -1 as const),
        between(-8, 8),
        between(-0.25, 0.05),
        between(-0.1, 0.1),
        between(-0.3, 0.3),
        (turn, way, along, gap, skew, speed) => {
          const [one, many] = [1, 70].map((cuts) => {
            // Alongside the face y = 0, the boat's starboard side to it or its port side, a little askew.
            const off = -way * (1.7 + gap + 0.3);
            const r = rig(sloop(), {
              obstacles: [slab(turn, way, cuts)],
              x: along * Math.cos(turn) - off * Math.sin(turn),
              y: along * Math.sin(turn) + off * Math.cos(turn),
              heading: Math.PI / 2 - turn + skew,
              v: speed,
            });
            r.scratch.clock[CLOCK.STEP] = TIMESTEP_S;
            r.scratch.touch.list[LIST.PIECE] = TIMESTEP_S;
            lookAround(r.state.motion, r);
            derivative(r.scratch.slopes[0], r.state.motion, r, 0);
            return r.scratch;
          });
          const found = [one!, many!].map(({ touch }) =>
            Array.from({ length: touch.count }, (_, k) => k).map((k) => [
              touch.element[k]!,
              touch.depth[k]!,
              touch.nx[k]!,
              touch.ny[k]!,
            ]),
          );
          touched += found[0]!.length;
          expect(found[0]!.length).toBe(found[1]!.length);
          found[1]!.forEach((row, k) =>
            row.forEach((value, c) => expect(found[0]![k]![c]).toBeCloseTo(value, 9)),
          );
          for (const k of [0, 1, 2]) expect(one!.force[k]).toBeCloseTo(many!.force[k]!, 3);
        },
      ),
      { numRuns: 200 },
    );
    expect(touched).toBeGreaterThan(50);
  });
});

it('a leaf that swings on to a boat that lies still is found, from however far off it comes', () => {
  const leaf = Float64Array.from([-3, 9, 3, 9, 3, 9.3, -3, 9.3]);
  const r = rig(sloop(), { obstacles: [solidObstacle('leaf', 'leaf', leaf, RIGID)] });
  const { shore } = r.world;
  let touched = 0;
  for (let i = 0; i < 60; i++) {
    timestep(r, TIMESTEP_S);
    touched += r.scratch.touch.count;
    // The boat's bow is at y = 5; it comes down to 4.8, slowly.
    const by = i < 50 ? 0.084 : 0;
    for (let c = 0; c < 4; c++) shore.corners[2 * c + 1]! -= by;
    shore.box[1]! -= by;
    shore.box[3]! -= by;
    shore.moved[0]! += by;
  }
  expect(touched).toBeGreaterThan(0);
  expect(r.state.motion[U]).toBeLessThan(0);
});
