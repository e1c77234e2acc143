import { fleetCraft } from '@/document/testing/fleet';
import { NO_LINES, obstacleSetOf, solidObstacle } from '../holding';
import { CALM } from '../testing/rig';
import { environmentFor, orderEngine, orderRudder, Simulation, X, Y } from './';

// Where a boat is a minute after knocking into a wall bow on and grinding along it, with the engine ahead, must not hang on the step.

const SECONDS = 60;

function place(id: string, dt: number): readonly [number, number] {
  const craft = fleetCraft(id);
  const { length } = craft.spec.hull;
  const [near, far] = [0.5 * length, 0.5 * length + 3];
  const corners = Float64Array.from([-300, near, 300, near, 300, far, -300, far]);
  const wall = solidObstacle('wall', 'wall', corners, { friction: 0.3, stiffness: 1e6 });
  const world = {
    craft,
    obstacles: [wall],
    environment: environmentFor(craft, { ...CALM, windFrom: 2.8, windSpeed: 5 }),
    lines: NO_LINES,
    shore: obstacleSetOf([wall]),
  };
  const simulation = Simulation.at(world, { x: 0, y: -0.3 * length, heading: 0.25, speed: 0.4 });
  const { state } = simulation;
  craft.spec.drives.forEach((drive, i) => orderEngine(state.engines[i]!, drive, 1, 0));
  orderRudder(state, craft, 0.3 * craft.limits[0]!);
  for (let time = 0; time < SECONDS - 1e-9;) {
    const step = Math.min(dt, simulation.timeToEvent(), SECONDS - time);
    simulation.advance(step);
    time += step;
  }
  return [state.motion[X]!, state.motion[Y]!];
}

it.each(['wicket', 'lantern', 'dunlin-hatch', 'tamarack-nell', 'brisling', 'quince'])(
  '%s is within one in a hundred of her length of where an eighth of the step has her',
  (id) => {
    const [x, y] = place(id, 0.1);
    const [fineX, fineY] = place(id, 0.0125);
    expect(Math.hypot(x - fineX, y - fineY)).toBeLessThan(0.01 * fleetCraft(id).spec.hull.length);
  },
);
