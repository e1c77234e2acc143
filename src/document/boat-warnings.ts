import { hullMiddles } from '@/core/boat';
import { SEA_WATER_KGPM3 } from '@/core/units';
import type { Boat } from './boat';
import type { Problem } from './result';

/** Below and above these a figure is unusual for craft of the trade, though not impossible. */
const USUAL = {
  lengthOverBeam: [1.6, 9],
  beamOverDraught: [1.2, 18],
  block: [0.15, 0.98],
  yawRadius: [0.2, 0.33],
  thrustOverWeight: [0.004, 0.65],
  idleOverFull: [0.1, 0.55],
  rudderOverPlane: [0.008, 0.15],
  windOverLength2: [0.04, 0.5],
  pitchRatio: [0.4, 1.5],
  thrustPerWatt: [0.05, 0.25],
} as const;

/** Figures a boat is accepted with although they are unusual: each with the field and what is usual. */
export function boatWarnings(boat: Boat): Problem[] {
  const found: Problem[] = [];
  const { hull, windage } = boat;
  const look = (
    path: string,
    what: string,
    value: number,
    [least, most]: readonly [number, number],
  ) => {
    if (value >= least && value <= most) return;
    const figure = Number(value.toPrecision(2));
    found.push({ path, message: `${what} is ${figure}; ${least} to ${most} is usual` });
  };
  const length = hull.length_m;
  look('hull.beam_m', 'length over beam', length / hull.beam_m, USUAL.lengthOverBeam);
  look('hull.draught_m', 'beam over draught', hull.beam_m / hull.draught_m, USUAL.beamOverDraught);
  const deepest = Math.max(...hull.draughts.map(([, t]) => t));
  if (deepest > 0) {
    const hulls = hullMiddles(hull.demihullOffset_m).length;
    const breadth = 2 * hulls * Math.max(...hull.waterline.map(([, y]) => y));
    const volume = hull.mass_kg / SEA_WATER_KGPM3;
    const block = volume / (hull.waterlineLength_m * breadth * deepest);
    look('hull.mass_kg', 'share of its box of water that the body displaces', block, USUAL.block);
  }
  look('hull.yawRadius_m', 'yaw radius over length', hull.yawRadius_m / length, USUAL.yawRadius);
  const plane = hull.waterlineLength_m * hull.draught_m;
  const blades = boat.rudders.reduce((sum, r) => sum + r.area_m2, 0);
  if (blades > 0)
    look('rudders', 'rudder area over length × draught', blades / plane, USUAL.rudderOverPlane);
  const wind = windage.lateralArea_m2 / (length * length);
  look('windage.lateralArea_m2', 'wind area over length squared', wind, USUAL.windOverLength2);
  boat.drives.forEach((d, i) => {
    const at = `drives[${i}]`;
    look(`${at}.pitch_m`, 'pitch over diameter', d.pitch_m / d.diameter_m, USUAL.pitchRatio);
    look(
      `${at}.idle_rpm`,
      'idle over full revolutions',
      d.idle_rpm / d.full_rpm,
      USUAL.idleOverFull,
    );
    const top = (d.bollard_rpm ?? d.full_rpm) / 60;
    const d2 = d.diameter_m * d.diameter_m;
    const thrust = SEA_WATER_KGPM3 * d.bollardThrust_kt * d2 * d2 * top * top;
    const share = (boat.drives.length * thrust) / (hull.mass_kg * 9.81);
    look(`${at}.full_rpm`, 'full thrust over weight', share, USUAL.thrustOverWeight);
    if (d.power_kW !== null)
      look(
        `${at}.power_kW`,
        'static thrust per watt, N',
        thrust / (d.power_kW * 1000),
        USUAL.thrustPerWatt,
      );
  });
  if (boat.drives.length > 0 && boat.drives.every((d) => d.steering === 'fixed') && blades === 0)
    found.push({
      path: 'rudders',
      message: 'there is nothing that steers the boat but its engines',
    });
  return found;
}
