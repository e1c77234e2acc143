import { linesOf, obstacleSetOf, solidObstacle } from '../holding';
import { assembleCraft } from '../boat';
import { sloop } from '../testing/boats';
import { CALM } from '../testing/rig';
import {
  environmentFor,
  Ledger,
  orderEngine,
  orderRudder,
  Simulation,
  TIMESTEP_S,
  U,
  X,
  type SimState,
  type World,
} from './';

/** Heading for a quay in wind, a line out that hands may tend, and a boat lying beside the way. */
function water(): World {
  const craft = assembleCraft(sloop());
  const quay = solidObstacle(
    'quay',
    'quay',
    Float64Array.from([-20, 30, 20, 30, 20, 34, -20, 34]),
    { friction: 0.4, stiffness: 1e6 },
  );
  const line = {
    boatX: 3,
    boatY: 1,
    shoreX: 0,
    shoreY: -10,
    rise: 1,
    length: 8,
    stiffness: 30_000,
    damping: 200,
  };
  const around = {
    craft,
    obstacles: [quay],
    environment: environmentFor(craft, { ...CALM, windFrom: 1, windSpeed: 7 }),
    shore: obstacleSetOf([quay]),
  };
  const start = { x: 3.6, y: 4, heading: 0, speed: 0 };
  const other = { ...around, lines: linesOf([]) };
  return {
    ...around,
    lines: linesOf([line], true),
    others: [{ id: 'o', name: 'other', start, world: other }],
  };
}

const numbers = (state: SimState): number[] => [
  state.time,
  ...state.motion,
  ...state.angles,
  ...state.lines,
  ...state.engines.flatMap(({ rps, engagesIn }) => [rps, engagesIn]),
  ...state.others.flatMap(numbers),
];

function underWay(watching = {}): Simulation {
  const simulation = Simulation.at(water(), { x: 0, y: 0, heading: 0, speed: 1.5 }, watching);
  const { state, world } = simulation;
  orderEngine(state.engines[0]!, world.craft.spec.drives[0]!, 1, 0.5);
  orderRudder(state, world.craft, 0.3);
  simulation.warmUp();
  return simulation;
}

function run(simulation: Simulation, seconds: number): void {
  const end = simulation.state.time + seconds - TIMESTEP_S / 2;
  while (simulation.state.time < end) simulation.advance(TIMESTEP_S);
}

it('warming up moves nothing, however often', () => {
  const simulation = underWay();
  const before = numbers(simulation.state);
  simulation.warmUp();
  expect(numbers(simulation.state)).toEqual(before);
  const once = underWay();
  run(once, 5);
  run(simulation, 5);
  expect(numbers(simulation.state)).toEqual(numbers(once.state));
});

it('a step taken back and taken again is the same step, the books and the touches with it', () => {
  const ledger = new Ledger();
  const counts = { save: 0, restore: 0 };
  const watch = {
    see: () => undefined,
    save: () => (counts.save += 1),
    restore: () => (counts.restore += 1),
  };
  const simulation = underWay({ ledger, watch });
  const straight = underWay();
  run(simulation, 4);
  run(straight, 4);
  simulation.markHere();
  const booked = ledger.work.slice();
  const here = numbers(simulation.state);
  run(simulation, 3);
  expect(simulation.state.motion[X]).not.toBe(straight.state.motion[X]);
  simulation.rewind();
  expect(numbers(simulation.state)).toEqual(here);
  expect(ledger.work).toEqual(booked);
  expect(counts).toEqual({ save: 1, restore: 1 });
  run(simulation, 3);
  run(straight, 3);
  expect(numbers(simulation.state)).toEqual(numbers(straight.state));
});

it('nothing is taken back to where nobody marked', () => {
  expect(() => underWay().rewind()).toThrow('no moment');
});

it('a fork goes on by itself, and leaves what it came from as it was', () => {
  const simulation = underWay();
  const straight = underWay();
  run(simulation, 3);
  run(straight, 3);
  const fork = simulation.fork();
  const here = numbers(simulation.state);
  orderEngine(fork.state.engines[0]!, fork.world.craft.spec.drives[0]!, -1, 1);
  run(fork, 5);
  expect(numbers(simulation.state)).toEqual(here);
  run(simulation, 5);
  run(straight, 5);
  expect(numbers(simulation.state)).toEqual(numbers(straight.state));
  expect(fork.state.motion[U]!).toBeLessThan(simulation.state.motion[U]! - 0.2);
});

it('a fork that is left as it is goes the same way', () => {
  const simulation = underWay();
  run(simulation, 3);
  const fork = simulation.fork();
  run(fork, 10);
  run(simulation, 10);
  expect(numbers(fork.state)).toEqual(numbers(simulation.state));
});
