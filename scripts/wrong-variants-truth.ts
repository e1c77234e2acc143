import { core, type WrongVariant } from './wrong-variant';

/** Deliberate mistakes in what was repaired of the model: blades, race, long keels, windage, thrusters, knocks. */
export const TRUTH_VARIANTS: readonly WrongVariant[] = [
  core(
    'forces/foil.ts',
    'a stalled blade pushes as the square of its sine',
    '(parted * f[at + FOIL.BROADSIDE]! * PLATE) / (4 + Math.PI * size)));',
    'parted * f[at + FOIL.BROADSIDE]! * size));',
  ),
  core(
    'forces/foil.ts',
    'in a race a blade stalls earlier',
    'from = f[at + FOIL.STALL_FROM]! + raced * f[at + FOIL.LATER_FROM]!;',
    'from = f[at + FOIL.STALL_FROM]! - raced * f[at + FOIL.LATER_FROM]!;',
  ),
  core(
    'forces/race.ts',
    'a race without thrust stalls a blade late all the same',
    'out[2] = whole > 0 ? Math.abs(extra) / whole : 0;',
    'out[2] = 1;',
  ),
  core(
    'boat/drive-rows.ts',
    'a race reaches however far aside',
    'return exp(-share * share);',
    'return 1;',
  ),
  core(
    'boat/drive-rows.ts',
    'a race makes a blade lift without bound',
    'Math.max(spec.stallAngle, fullLiftAngle(liftSlope(spec.effectiveAspect))),',
    'LATEST_STALL,',
  ),
  core(
    'forces/rudder.ts',
    'a rudder behind a keel is as good astern as ahead',
    'const astern = along < 0 ? along * along : 0;',
    'const astern = along < -1e9 ? along * along : 0;',
  ),
  core(
    'forces/cross-flow.ts',
    'the trailing end resists more',
    'return speed2 > 0 ? (lead * u) / Math.sqrt(speed2) : 0;',
    'return speed2 > 0 ? (-lead * u) / Math.sqrt(speed2) : 0;',
  ),
  core(
    'forces/cross-flow.ts',
    'the leading end resists more though the flow is square across',
    'return speed2 > 0 ? (lead * u) / Math.sqrt(speed2) : 0;',
    'return lead;',
  ),
  core(
    'forces/thruster.ts',
    'a thruster loses its moment with its force',
    'still * thrusterTurnShare(jet, along);',
    'still * thrusterShare(jet, along);',
  ),
  core(
    'boat/estimate/hull.ts',
    'a keel along the hull resists turning no more than a fin',
    'liftSpread: Math.sqrt(own * own + (area > 0 ? turning / area : 0)),',
    'liftSpread: own,',
  ),
  core(
    'boat/estimate/hull.ts',
    'yaw added mass with the length squared',
    'return Math.min(1.2, (perMetre * lwl * lwl * lwl * sum + keels) / inertia);',
    'return Math.min(1.2, (perMetre * lwl * lwl * sum + keels) / inertia);',
  ),
  core(
    'boat/estimate/windage.ts',
    'areas count alike at every height',
    'return share * share;',
    'return share > 0 ? 1 : 0;',
  ),
  core(
    'boat/estimate/drives.ts',
    'an offset screw stands in the middle all the same',
    'if (engines === 1) return [screwOffset];',
    'if (engines === 1) return [0 * screwOffset];',
  ),
  core(
    'boat/propulsors.ts',
    'a sail drive walks as little as a leg',
    'walk: [0.13, 0.01],',
    'walk: [0.02, 0.01],',
  ),
  core(
    'boat/estimate/drives.ts',
    'a full stern costs nothing astern',
    'const met = propulsor.leg ? 1 : 1 - c.asternLoss;',
    'const met = propulsor.leg ? 1 : 1 - 0 * c.asternLoss;',
  ),
  core(
    'holding/touch-rate.ts',
    'a knock is followed no finer than lying against something',
    'const KNOCK_FINER = 12;',
    'const KNOCK_FINER = 1;',
  ),
  core(
    'simulation/actuators.ts',
    'a step reaches past a thruster that cuts out',
    'if (!thruster.cut && hot > COME_S && hot < least) least = hot;',
    'if (thruster.cut && hot > COME_S && hot < least) least = hot;',
  ),
  core(
    'trials/turning.ts',
    'a handler shifts before the boat has moved',
    'return goes() || water.time - seen >= SHIFTS_LATE_S;',
    'return goes() || water.time - seen >= -SHIFTS_LATE_S;',
  ),
];
