import { fleetCraft } from '@/document/testing/fleet';
import { GAPS, SHALLOW } from '../forces';
import { solidObstacle } from '../holding';
import { bareBody, REFERENCE_HULL } from '../testing/boats';
import { rig, type RigOptions } from '../testing/rig';
import { R, V } from './state';
import { timestep } from './timestep';
import { senseSurroundings } from './surroundings';
import { AIR, CLOCK } from './scratch';

// What the boat feels about it at the start of a step, apart from how it answers it.

const boat = fleetCraft('quince').spec;

function sensed(options: RigOptions, time = 0) {
  const vessel = rig(boat, options);
  const { world, state, scratch } = vessel;
  scratch.clock[CLOCK.TIME] = time;
  scratch.clock[CLOCK.STEP] = 0.1;
  senseSurroundings(state.motion, vessel);
  return { world, scratch, motion: state.motion };
}

const SURFACE = { friction: 0.35, stiffness: 1e6 };
const wall = (x0: number, x1: number) =>
  solidObstacle('wall', 'wall', Float64Array.from([x0, -100, x1, -100, x1, 100, x0, 100]), SURFACE);

describe('wind about her', () => {
  it('is the same at every stage of a step when it is steady, whichever way it blows', () => {
    for (const from of [0, 1, 2.5, 4, 6]) {
      const { scratch } = sensed({ weather: { windFrom: from, windSpeed: 8 } });
      const [e0, n0, e1, n1, e2, n2] = scratch.air;
      expect([e1, n1, e2, n2]).toEqual([e0, n0, e0, n0]);
      // Water at rest less air that goes where the wind blows to: towards where it comes from.
      expect(Math.atan2(e0!, n0!)).toBeCloseTo(Math.atan2(Math.sin(from), Math.cos(from)), 12);
      expect(Math.hypot(e0!, n0!)).toBeLessThan(8);
      expect(Math.hypot(e0!, n0!)).toBeGreaterThan(4);
    }
  });

  it('is none over water that drifts with it', () => {
    const { scratch } = sensed({
      weather: { windFrom: 0.7, windSpeed: 1, currentSet: 0.7 + Math.PI, currentSpeed: 1 },
    });
    expect(Math.abs(scratch.air[0]!)).toBeLessThan(1e-12);
    expect(Math.abs(scratch.air[1]!)).toBeLessThan(1e-12);
  });

  it('comes and goes in gusts, the same for the same seed only', () => {
    const at = (seed: number, time: number) =>
      sensed(
        { weather: { windFrom: 1, windSpeed: 8, gusts: { intensity: 0.25, timeScale: 10, seed } } },
        time,
      ).scratch.air[0]!;
    const first = [0, 5, 10, 20, 40].map((t) => at(3, t));
    expect(new Set(first).size).toBe(5);
    expect([0, 5, 10, 20, 40].map((t) => at(3, t))).toEqual(first);
    expect([0, 5, 10, 20, 40].map((t) => at(4, t))).not.toEqual(first);
  });

  it('is even along her in the open', () => {
    const { scratch } = sensed({ weather: { windFrom: 1, windSpeed: 8 } });
    expect(scratch.air[AIR.MEAN_SQUARE]).toBe(1);
    expect(scratch.air[AIR.DIFFERENCE]).toBe(0);
  });
});

describe('depth under her', () => {
  const factors = (depth: number | undefined) =>
    sensed({ weather: depth === undefined ? {} : { depth } }).scratch.shallow;

  it('changes nothing in deep water, and little in water that is nearly so', () => {
    expect([...factors(undefined)]).toEqual(Array(factors(undefined).length).fill(1));
    for (const factor of factors(40 * boat.hull.draught))
      expect(Math.abs(factor - 1)).toBeLessThan(0.02);
  });

  it('makes her heavier and harder to move sideways, the more the shallower', () => {
    const depths = [4, 2.5, 1.8, 1.4, 1.2].map((ratio) => factors(ratio * boat.hull.draught));
    for (const column of [
      SHALLOW.CROSS_FLOW,
      SHALLOW.SWAY_MASS,
      SHALLOW.YAW_MASS,
      SHALLOW.RESISTANCE,
    ]) {
      for (let i = 1; i < depths.length; i++)
        expect(depths[i]![column]!).toBeGreaterThanOrEqual(depths[i - 1]![column]!);
      expect(depths.at(-1)![column]!).toBeGreaterThan(1);
    }
  });

  it('stays finite when there is less water than she draws', () => {
    for (const depth of [boat.hull.draught, 0.5, 0.01])
      for (const factor of factors(depth)) expect(Number.isFinite(factor)).toBe(true);
  });
});

describe('walls about her', () => {
  it('are seen square to the keel, either way round', () => {
    const obstacles = [wall(6, 8), wall(-12, -10)];
    const north = sensed({ obstacles, weather: { confined: true } }).scratch.gaps;
    expect(north[GAPS.STARBOARD]).toBeCloseTo(6 - boat.hull.beam / 2, 9);
    expect(north[GAPS.PORT]).toBeCloseTo(10 - boat.hull.beam / 2, 9);
    const south = sensed({ obstacles, heading: Math.PI, weather: { confined: true } }).scratch.gaps;
    expect(south[GAPS.PORT]).toBeCloseTo(north[GAPS.STARBOARD]!, 6);
    expect(south[GAPS.STARBOARD]).toBeCloseTo(north[GAPS.PORT]!, 6);
  });

  it('are not looked for unless asked', () => {
    expect([...sensed({ obstacles: [wall(6, 8)] }).scratch.gaps]).toEqual([Infinity, Infinity]);
  });

  it('squeeze the water past her in a channel and so drag her more', () => {
    const drag = (x: number) =>
      sensed({
        obstacles: [wall(x, x + 2), wall(-x - 2, -x)],
        weather: { confined: true, depth: 2 * boat.hull.draught },
      }).scratch.shallow[SHALLOW.RESISTANCE]!;
    expect(drag(4)).toBeGreaterThan(drag(8));
    expect(drag(8)).toBeGreaterThan(drag(50));
  });
});

describe('a current that differs along her', () => {
  it('is felt strip by strip: she is turned by the moment of its cross flow', () => {
    const half = 4.5;
    const box = bareBody({
      ...REFERENCE_HULL,
      crossFlowDrag: 1,
      draughts: Float64Array.from([-half, 0.8, half, 0.8]),
    });
    // Heading north, carried along by a current to the east that grows to the south: 0.1 m/s more each metre.
    const k = 0.1;
    const current = {
      shear: k,
      originX: 0,
      originY: 0,
      banks: [],
      bankWidth: 10,
      structures: [],
      strength: null,
      minX: -40,
      minY: -40,
      maxX: 40,
      maxY: 40,
    };
    const r = rig(box, { weather: { currentSet: Math.PI / 2, currentSpeed: 1, current } });
    const h = 0.001;
    timestep(r, h);
    // N = −½ρ C T ∫ x (kx)|kx| dx over the boat's length, on 40,500 kg·m².
    const moment = -0.5 * 1025 * 0.8 * k * k * (half ** 4 / 2);
    // Twenty strips are half a per cent out.
    expect(Math.abs(r.state.motion[R]! / ((moment / 40500) * h) - 1)).toBeLessThan(0.01);
    // As much to one side forward as to the other aft.
    expect(Math.abs(r.state.motion[V]!)).toBeLessThan(1e-6);
  });
});
