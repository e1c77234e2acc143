import type { Rudder } from '../craft';
import { foilForce } from './foil';
import type { RaceAtBlade } from './race';

/**
 * Rudder force. The blade at angle δ (δ > 0 turns the bow to starboard going ahead) has its leading
 * edge towards (cos δ, −sin δ) and its right-hand normal along (sin δ, cos δ); its own velocity through
 * the water is resolved on these and given to the foil law, once for the share of span in the race
 * and once for the rest. So incidence is δ + atan2(v_blade, u_blade) all the way round.
 */
export function addRudder(
  force: Float64Array,
  blade: Float64Array,
  rudder: Rudder,
  race: RaceAtBlade,
  density: number,
  sinDelta: number,
  cosDelta: number,
  surge: number,
  sway: number,
): void {
  const { foil } = rudder;
  const along = surge * foil.speedShare;
  const across = sway * foil.speedShare;
  let chord = 0;
  let normal = 0;
  if (race.cover < 1) {
    foilForce(
      blade,
      foil,
      along * cosDelta - across * sinDelta,
      along * sinDelta + across * cosDelta,
    );
    chord += (1 - race.cover) * blade[0]!;
    normal += (1 - race.cover) * blade[1]!;
  }
  if (race.cover > 0) {
    const fast = race.speed;
    foilForce(
      blade,
      foil,
      fast * cosDelta - across * sinDelta,
      fast * sinDelta + across * cosDelta,
    );
    chord += race.cover * blade[0]!;
    normal += race.cover * blade[1]!;
  }
  const fx = density * (chord * cosDelta + normal * sinDelta);
  const fy = density * (normal * cosDelta - chord * sinDelta);
  force[0]! += fx;
  force[1]! += fy;
  force[2]! += foil.x * fy - foil.y * fx;
}
