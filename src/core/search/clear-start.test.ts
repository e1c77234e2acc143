import fc from 'fast-check';
import { assembleCraft } from '../boat';
import { obstacleSetOf, solidObstacle } from '../holding';
import { runPlan } from '../plan';
import { between } from '../testing/arbitrary';
import { sloop } from '../testing/boats';
import { box } from '../testing/boxes';
import { openWater } from '../testing/uncertain';
import { clearStart } from './clear-start';

const bare = { ...sloop(), fenders: [] };
const craft = assembleCraft(bare);
const half = bare.hull.beam / 2;
/** A quay along the east side of a boat heading north at the origin, so far off its side. */
const quay = (off: number) => box('quay', half + off, -30, half + off + 10, 30);
const pose = { x: 0, y: 0, heading: 0, speed: 0 };

describe('where a boat begins', () => {
  it('is left alone, to the bit, where nothing presses on it', () => {
    const found = clearStart(craft, obstacleSetOf([quay(0.3)]), { ...pose, heading: 0.1 });
    expect(found).toEqual({ is: 'clear', start: { ...pose, heading: 0.1 } });
  });

  it('is pushed off what it overlaps by centimetres, straight, and lies still then', () => {
    const shore = obstacleSetOf([quay(-0.06)]);
    const found = clearStart(craft, shore, pose);
    if (found.is !== 'clear') throw new Error(found.is);
    expect(found.start.x).toBeCloseTo(-0.06, 3);
    expect(found.start.y).toBeCloseTo(0, 6);
    const water = openWater();
    const run = (x: number) =>
      runPlan({
        ...water,
        boat: bare,
        obstacles: [quay(-0.06)],
        berth: new Set(['quay']),
        weather: { ...water.weather, windSpeed: 0, currentSpeed: 0 },
        start: { ...pose, x },
        plan: { steps: [], end: { cue: { is: 'after', time: 5 }, within: 6 } },
      });
    const speeds = [...run(found.start.x).trace.groundSpeed];
    expect(Math.max(...speeds)).toBeLessThan(0.02);
    // As it is told it is thrown off.
    expect(Math.max(...run(0).trace.groundSpeed)).toBeGreaterThan(0.1);
  });

  it('is refused further in, with how deep', () => {
    const found = clearStart(craft, obstacleSetOf([quay(-0.4)]), pose);
    expect(found).toMatchObject({ is: 'inside', on: 0 });
    if (found.is === 'inside') expect(found.deep).toBeCloseTo(0.4, 2);
  });

  it('is refused between walls that leave too little, with what is wanting', () => {
    const west = box('west', -half - 10, -30, -half + 0.05, 30);
    const found = clearStart(craft, obstacleSetOf([quay(-0.03), west]), pose);
    if (found.is !== 'squeezed') throw new Error(found.is);
    expect([...found.between].sort()).toEqual([0, 1]);
    expect(found.short).toBeCloseTo(0.08, 2);
  });

  it('lets fenders be squeezed as one lies on them, and no further', () => {
    const fendered = sloop();
    const own = assembleCraft(fendered);
    const starboard = fendered.fenders.filter(({ y }) => y > 0);
    expect(starboard.length).toBeGreaterThan(0);
    const thick = Math.max(...starboard.map(({ y, diameter }) => y + diameter / 2));
    const at = (x: number) => obstacleSetOf([box('quay', x, -30, x + 10, 30)]);
    const lying = clearStart(own, at(thick - 0.02), pose);
    expect(lying).toEqual({ is: 'clear', start: pose });
    const pressed = clearStart(own, at(half + 0.02), pose);
    if (pressed.is !== 'clear') throw new Error(pressed.is);
    expect(pressed.start.x).toBeLessThan(-0.05);
  });

  it('comes out the same turned and mirrored', () => {
    fc.assert(
      fc.property(between(-3, 3), between(0.005, 0.09), (heading, deep) => {
        const c = Math.cos(heading);
        const s = Math.sin(heading);
        // A quay along its starboard side, wherever that looks.
        const corner = (ahead: number, aside: number) => [
          ahead * s + aside * c,
          ahead * c - aside * s,
        ];
        const ring = [
          corner(-30, half - deep),
          corner(30, half - deep),
          corner(30, half + 10),
          corner(-30, half + 10),
        ].flat();
        const surface = { friction: 0.35, stiffness: 1e6 };
        const wall = solidObstacle('quay', 'quay', Float64Array.from(ring), surface);
        const found = clearStart(craft, obstacleSetOf([wall]), { ...pose, heading });
        if (found.is !== 'clear') throw new Error(found.is);
        const aside = found.start.x * c - found.start.y * s;
        expect(aside).toBeCloseTo(-deep, 3);
      }),
      { numRuns: 30 },
    );
  });
});
