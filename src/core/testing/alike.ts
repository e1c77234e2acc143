import { assembleCraft, massFromMatrix, massRow, type BoatSpec, type Craft } from '../boat';
import { NO_LINES, obstacleSetOf } from '../holding';
import {
  environmentFor,
  initialState,
  orderEngine,
  orderRudder,
  orderThruster,
  PSI,
  timestep,
  vesselOf,
  X,
  Y,
} from '../simulation';
import { CALM } from './rig';

// Boats that must go alike: one described from another point, one larger by Froude's law.

/** Runs a craft through a hard minute and returns where the point `at` ahead of the boat's origin is, and its heading. */
export function track(craft: Craft, at: number, scale = 1, step = 0.05): number[][] {
  const root = Math.sqrt(scale);
  const weather = { ...CALM, windFrom: 1.1, windSpeed: 7 * root };
  const world = {
    craft,
    obstacles: [],
    environment: environmentFor(craft, weather),
    lines: NO_LINES,
    shore: obstacleSetOf([]),
  };
  const state = initialState(craft, {
    x: -at * Math.sin(0.4),
    y: -at * Math.cos(0.4),
    heading: 0.4,
    speed: 1.2 * root,
  });
  const vessel = vesselOf(world, state);
  const seen: number[][] = [];
  const orders = [
    [8, 0, 1, 0.5],
    [10, 0.4, 1, 0.3],
    [8, -0.6, 0, 0],
    [12, -0.6, -1, 0.7],
    [6, 0.3, 1, 0.8],
  ] as const;
  for (const [seconds, rudder, gear, throttle] of orders) {
    orderRudder(state, craft, rudder);
    craft.spec.drives.forEach((drive, k) => orderEngine(state.engines[k]!, drive, gear, throttle));
    craft.spec.thrusters.forEach((thruster, k) =>
      orderThruster(state.thrusters[k]!, thruster, 2 * rudder),
    );
    for (let i = 0; i < Math.round(seconds / step); i++) {
      timestep(vessel, step * root);
      const psi = state.motion[PSI]!;
      seen.push([
        state.motion[X]! + at * Math.sin(psi),
        state.motion[Y]! + at * Math.cos(psi),
        psi,
      ]);
    }
  }
  return seen;
}

/** The same boat described from a point `a` metres further forward. */
export function shifted(boat: BoatSpec, a: number): Craft {
  const move = (points: Float64Array) => points.map((v, i) => (i % 2 === 0 ? v - a : v));
  const at = <T extends { x: number }>(part: T): T => ({ ...part, x: part.x - a });
  const spec = {
    ...boat,
    hull: {
      ...boat.hull,
      deck: move(boat.hull.deck),
      waterline: move(boat.hull.waterline),
      draughts: move(boat.hull.draughts),
      liftCentre: -a,
    },
    foils: boat.foils.map(at),
    drives: boat.drives.map((d) => ({ ...at(d), leg: d.leg && at(d.leg) })),
    thrusters: boat.thrusters.map(at),
    rudders: boat.rudders.map((r) => ({ ...at(r), hullShareX: r.hullShareX - a })),
    fenders: boat.fenders.map(at),
    windage: { ...boat.windage, centreX: boat.windage.centreX - a },
  };
  const m = assembleCraft(boat).mass;
  // M' = HᵀMH with ν = Hν', v = v' − a r: for rigid and added mass alike.
  const mass = massFromMatrix(
    m.m11,
    m.m22,
    m.m23 - a * m.m22,
    m.m33 - 2 * a * m.m23 + a * a * m.m22,
    m.rigid,
    m.rigidMoment - a * m.rigid,
    m.a22,
    m.a23 - a * m.a22,
  );
  return { ...assembleCraft(spec), mass, massRow: massRow(mass) };
}

/** A boat ten times as large by Froude's law; friction left out, which follows Reynolds' law instead. */
export function scaled(boat: BoatSpec, k: number): BoatSpec {
  const k2 = k * k;
  const k3 = k2 * k;
  const root = Math.sqrt(k);
  const all = (points: Float64Array) => points.map((v) => v * k);
  const foil = <T extends { x: number; y: number; area: number }>(f: T): T => ({
    ...f,
    x: f.x * k,
    y: f.y * k,
    area: f.area * k2,
  });
  const { hull } = boat;
  return {
    ...boat,
    hull: {
      ...hull,
      length: hull.length * k,
      beam: hull.beam * k,
      waterlineLength: hull.waterlineLength * k,
      draught: hull.draught * k,
      mass: hull.mass * k3,
      xG: hull.xG * k,
      demihullOffset: hull.demihullOffset * k,
      yawRadius: hull.yawRadius * k,
      deck: all(hull.deck),
      waterline: all(hull.waterline),
      draughts: all(hull.draughts),
      liftArea: hull.liftArea * k2,
      liftArm: hull.liftArm * k,
      liftSpread: hull.liftSpread * k,
      wettedArea: 0,
    },
    foils: boat.foils.map(foil),
    drives: boat.drives.map((d) => ({
      ...d,
      x: d.x * k,
      y: d.y * k,
      diameter: d.diameter * k,
      pitch: d.pitch * k,
      idleRps: d.idleRps / root,
      fullRps: d.fullRps / root,
      bollardRps: d.bollardRps / root,
      response: d.response * root,
      shiftDelay: d.shiftDelay * root,
      neutralPause: d.neutralPause * root,
      leg: d.leg && foil(d.leg),
    })),
    rudders: boat.rudders.map((r) => ({
      ...foil(r),
      span: r.span * k,
      hullShareX: r.hullShareX * k,
    })),
    thrusters: boat.thrusters.map((thruster) => ({
      ...thruster,
      x: thruster.x * k,
      thrust: thruster.thrust * k3,
      jetSpeed: thruster.jetSpeed * root,
      response: thruster.response * root,
      reverseDelay: thruster.reverseDelay * root,
      heatTime: thruster.heatTime * root,
      coolTime: thruster.coolTime * root,
    })),
    steering: { ...boat.steering, rate: boat.steering.rate / root },
    windage: {
      ...boat.windage,
      frontalArea: boat.windage.frontalArea * k2,
      lateralArea: boat.windage.lateralArea * k2,
      centreX: boat.windage.centreX * k,
      // The wind's profile has a height of its own: both at ten metres.
      centreHeight: 10,
    },
    fenders: [],
  };
}
