import { fleetCraft } from '@/document/testing/fleet';
import { NO_LINES, obstacleSetOf } from '../holding';
import { Random } from '../math';
import { environmentFor, Simulation, type Weather } from '../simulation';
import { SEA_WATER_KGPM3 } from '../units';
import { feelOf } from './feel';
import { G, GUESS_SIZE, GUESS_STEP_S, goOn, order } from './guess';
import { leversOf, putLevers } from './levers';

const WIND: Weather = {
  windFrom: 1,
  windSpeed: 6,
  currentSet: 0,
  currentSpeed: 0,
  waterDensity: SEA_WATER_KGPM3,
};

const afloat = (id: string) => {
  const craft = fleetCraft(id);
  const world = {
    craft,
    obstacles: [],
    environment: environmentFor(craft, WIND),
    lines: NO_LINES,
    shore: obstacleSetOf([]),
  };
  return Simulation.at(world, { x: 0, y: 0, heading: 0, speed: 0.5 });
};

describe('a guess of how the boat goes on', () => {
  it.each(['quince', 'brisling', 'marram', 'pebble', 'ottoline', 'dunlin-hatch'])(
    'comes true for %s over two seconds, whatever is done with levers and wheel',
    (id) => {
      const craft = fleetCraft(id);
      const levers = leversOf(craft, SEA_WATER_KGPM3, true);
      const feel = feelOf(craft, WIND, levers);
      const random = new Random(3);
      let metres = 0;
      let degrees = 0;
      let looks = 0;
      for (let run = 0; run < 10; run++) {
        const simulation = afloat(id);
        const { motion } = simulation.state;
        const s = new Float64Array(GUESS_SIZE);
        s[G.U] = 0.5;
        for (let k = 0; k < 4; k++) {
          const put = Math.floor(random.uniform() * levers.length);
          const wheel = Math.floor(random.uniform() * 3) - 1;
          putLevers(simulation.state, simulation.world, levers[put]!, wheel);
          order(s, feel, put);
          for (let i = 0; i < 20; i++) simulation.advance(0.1);
          const weathering = { windFrom: 1, east: 0, north: 0, besides: new Float64Array(3) };
          goOn(s, feel, weathering, wheel, 2 / GUESS_STEP_S);
          metres += Math.hypot(motion[0]! - s[G.X]!, motion[1]! - s[G.Y]!);
          degrees += (Math.abs(motion[2]! - s[G.PSI]!) * 180) / Math.PI;
          looks += 1;
          for (let i = 0; i < 6; i++) s[i] = motion[i]!;
        }
      }
      expect(metres / looks).toBeLessThan(0.06);
      expect(degrees / looks).toBeLessThan(1.2);
    },
  );

  it.each(['marram', 'ottoline'])(
    'has the engine whose gear stays go on while the other of %s reverses',
    (id) => {
      const simulation = afloat(id);
      const { craft } = simulation.world;
      const levers = leversOf(craft, SEA_WATER_KGPM3, false);
      const feel = feelOf(craft, WIND, levers);
      const s = new Float64Array(GUESS_SIZE);
      s[G.U] = 0.5;
      const still = { windFrom: 1, east: 0, north: 0, besides: new Float64Array(3) };
      const goes = (k: number, seconds: number) => {
        putLevers(simulation.state, simulation.world, levers[k]!, 0);
        order(s, feel, k);
        for (let i = 0; i < 10 * seconds; i++) simulation.advance(0.1);
        goOn(s, feel, still, 0, seconds / GUESS_STEP_S);
      };
      goes(
        levers.findIndex(({ way }) => way === 1),
        2,
      );
      const firm = levers.findLastIndex(({ name }) => name.startsWith('opposed'));
      const { motion } = simulation.state;
      for (const seconds of [1, 1, 2]) {
        goes(firm, seconds);
        expect(Math.abs(motion[3]! - s[G.U]!)).toBeLessThan(0.04);
        expect(Math.abs(motion[5]! - s[G.R]!)).toBeLessThan(0.012);
      }
    },
  );

  it('begins with everything out of gear, and has engines apart drive one against the other', () => {
    const names = (id: string) =>
      leversOf(fleetCraft(id), SEA_WATER_KGPM3, true).map(({ name }) => name);
    expect(names('quince')[0]).toBe('neutral');
    expect(names('quince').some((name) => name.startsWith('opposed'))).toBe(false);
    expect(names('marram').filter((name) => name.startsWith('opposed')).length).toBeGreaterThan(1);
    const without = leversOf(fleetCraft('brisling'), SEA_WATER_KGPM3, false);
    expect(without.every(({ thrusters }) => thrusters.every((power) => power === 0))).toBe(true);
  });

  it('takes as long to shift as the gearbox does: nothing within a gear, the pause from one to the other', () => {
    const craft = fleetCraft('quince');
    const levers = leversOf(craft, SEA_WATER_KGPM3, true);
    const feel = feelOf(craft, WIND, levers);
    const ahead = levers.findIndex(({ way }) => way === 1);
    const astern = levers.findIndex(({ way }) => way === -1);
    const firmer = levers.findLastIndex(({ way }) => way === 1);
    const [drive] = craft.spec.drives;
    const s = new Float64Array(GUESS_SIZE);
    const waits = (k: number) => {
      order(s, feel, k);
      return s[G.WAITS];
    };
    const still = { windFrom: 1, east: 0, north: 0, besides: new Float64Array(3) };
    expect(waits(ahead)).toBe(drive!.shiftDelay);
    goOn(s, feel, still, 0, 20);
    expect(s[G.TURNS]).toBeGreaterThan(0.95);
    expect(waits(firmer)).toBe(0);
    // The shaft turns as it did: a smaller share of what it will.
    expect(s[G.TURNS]).toBeLessThan(0.7);
    expect(waits(astern)).toBeCloseTo(drive!.neutralPause, 9);
    expect(waits(0)).toBe(0);
    goOn(s, feel, still, 0, 20);
    expect(waits(astern)).toBe(drive!.shiftDelay);
  });

  it('lets a thruster run down and stand before it pushes the other way', () => {
    const craft = fleetCraft('brisling');
    const levers = leversOf(craft, SEA_WATER_KGPM3, true);
    const feel = feelOf(craft, WIND, levers);
    const pushing = levers.findIndex((_, k) => feel.pushes[k] === 1);
    const other = levers.findIndex((_, k) => feel.pushes[k]! > 1);
    const still = { windFrom: 1, east: 0, north: 0, besides: new Float64Array(3) };
    const s = new Float64Array(GUESS_SIZE);
    order(s, feel, pushing);
    goOn(s, feel, still, 0, 12);
    expect(s[G.POWER]).toBeGreaterThan(0.8);
    expect(s[G.PUSH]).toBe(1);
    order(s, feel, other);
    goOn(s, feel, still, 0, 1);
    // Still the old way, and less of it.
    expect(s[G.PUSH]).toBe(1);
    goOn(s, feel, still, 0, 40);
    expect(s[G.PUSH]).toBe(feel.pushes[other]);
    expect(s[G.POWER]).toBeGreaterThan(0.8);
    order(s, feel, 0);
    goOn(s, feel, still, 0, 40);
    expect(s[G.POWER]).toBeLessThan(0.05);
  });
});
