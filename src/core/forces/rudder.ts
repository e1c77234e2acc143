import { BLADE } from '../boat';
import { foilForce, WORK } from './foil';
import { inWake } from './propeller';

/** Notes in AXIAL the flow along the hull at a blade, from SURGE and SWAY: first of what is asked of it. */
export function setAxialFlow(w: Float64Array, b: Float64Array, at: number): void {
  const surge = w[WORK.SURGE]!;
  w[WORK.AXIAL] = surge * inWake(1 - b[at + BLADE.SPEED]!, surge, w[WORK.SWAY]!);
}

/**
 * Force of a steered blade: rudder, or the leg of a drive. At angle δ (δ > 0 turns the bow to starboard
 * going ahead) its leading edge points towards (cos δ, −sin δ) and its right-hand normal along
 * (sin δ, cos δ); its own velocity through the water is resolved on these and given to the foil law,
 * once for the share of span in the race and once for the rest. So incidence is δ + atan2(v, u) all
 * the way round. On the hull: X (1 − t_R), Y (1 + a_H), N = x_R Y + a_H x_H Y.
 *
 * @param race speed through the race, share of span inside it, how much of the flow it is (see raceAtBlade)
 * @param w working row: AXIAL, SWAY, SIN, COS, DENSITY
 */
export function addBlade(
  force: Float64Array,
  w: Float64Array,
  b: Float64Array,
  at: number,
  race: Float64Array,
): void {
  const sway = w[WORK.SWAY]!;
  const sinDelta = w[WORK.SIN]!;
  const cosDelta = w[WORK.COS]!;
  const along = w[WORK.AXIAL]!;
  // The wake slows the flow along the hull, not across it. What straightens it lies ahead along the hull: the more the flow comes
  // across, the less of it does.
  const ahead = along > 0 ? along * along : 0;
  const straight = ahead > 0 ? ahead / (ahead + sway * sway) : 0;
  const across = sway * (1 - (1 - b[at + BLADE.STRAIGHTENING]!) * straight);
  const cover = race[1]!;
  let chord = 0;
  let normal = 0;
  if (cover < 1) {
    w[WORK.RACED] = 0;
    w[WORK.ALONG] = along * cosDelta - across * sinDelta;
    w[WORK.ACROSS] = along * sinDelta + across * cosDelta;
    foilForce(w, b, at);
    chord = (1 - cover) * w[WORK.CHORD]!;
    normal = (1 - cover) * w[WORK.NORMAL]!;
  }
  if (cover > 0) {
    const fast = race[0]!;
    w[WORK.RACED] = race[2]!;
    w[WORK.ALONG] = fast * cosDelta - across * sinDelta;
    w[WORK.ACROSS] = fast * sinDelta + across * cosDelta;
    foilForce(w, b, at);
    w[WORK.RACED] = 0;
    chord += cover * w[WORK.CHORD]!;
    normal += cover * w[WORK.NORMAL]!;
  }
  // Going astern a blade hung on a keel is the keel's leading edge, which turns the flow by little (thin aerofoil theory).
  const astern = along < 0 ? along * along : 0;
  const left = astern > 0 ? 1 - ((1 - b[at + BLADE.ASTERN]!) * astern) / (astern + sway * sway) : 1;
  const density = w[WORK.DENSITY]! * left;
  const fx = density * (chord * cosDelta + normal * sinDelta) * b[at + BLADE.DRAG_KEPT]!;
  const own = density * (normal * cosDelta - chord * sinDelta);
  force[0]! += fx;
  force[1]! += own * b[at + BLADE.SIDE_GAIN]!;
  force[2]! += (b[at + BLADE.X]! + b[at + BLADE.HULL_LEVER]!) * own - b[at + BLADE.Y]! * fx;
}
