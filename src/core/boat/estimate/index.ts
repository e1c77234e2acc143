import { CLASS_DEFAULTS } from './classes';
import { estimateDrives, estimateRudders, estimateThrusters, type DriveEstimate } from './drives';
import { estimateHull, keelFoils, type HullEstimate } from './hull';
import type { Basis, OwnerFigures } from './owner';
import { provenance } from './provenance';
import type {
  FenderSpec,
  FoilSpec,
  NamedPoint,
  RudderSpec,
  SteeringSpec,
  ThrusterSpec,
  WindageSpec,
} from '../spec';
import { estimateFenders, estimatePoints, estimateWindage } from './windage';

export {
  BLADE_KINDS,
  BOAT_CLASSES,
  DRIVE_CHOICES,
  KEEL_KINDS,
  type Basis,
  type BoatClass,
  type OwnerFigures,
} from './owner';
export type { DriveEstimate } from './drives';
export type { HalfOutline, HullEstimate } from './hull';

/** A whole boat estimated from what its owner knows, with how each figure was come by. SI, radians. */
export interface BoatEstimate {
  readonly owner: OwnerFigures;
  readonly hull: HullEstimate;
  readonly foils: readonly FoilSpec[];
  readonly drives: readonly DriveEstimate[];
  readonly rudders: readonly RudderSpec[];
  readonly thrusters: readonly ThrusterSpec[];
  readonly steering: SteeringSpec;
  readonly windage: WindageSpec;
  readonly fenders: readonly FenderSpec[];
  readonly points: readonly NamedPoint[];
  readonly basis: readonly Basis[];
}

const RAD = Math.PI / 180;

/** Lock of an outboard or outdrive, and of a pod under a joystick. */
const DRIVE_LOCK = 30 * RAD;

/** Estimates everything a boat needs from its owner's figures. */
export function estimateBoat(owner: OwnerFigures): BoatEstimate {
  const c = CLASS_DEFAULTS[owner.class];
  const hull = estimateHull(owner);
  const foils = keelFoils(owner, hull.bodyDraught);
  const drives = estimateDrives(owner, hull, foils);
  const rudders = estimateRudders(owner, hull, drives);
  const thrusters = estimateThrusters(owner, hull);
  const windage = estimateWindage(owner);
  const fenders = estimateFenders(owner, hull.deck);
  return {
    owner,
    hull,
    foils,
    drives,
    rudders,
    thrusters,
    steering: {
      control: owner.control,
      rate: (owner.control === 'wheel' ? c.wheelRate : c.tillerRate) * RAD,
      driveLimit: DRIVE_LOCK,
    },
    windage,
    fenders,
    points: estimatePoints(owner, hull.deck),
    basis: provenance({
      owner,
      foils: foils.length,
      drives: drives.length,
      legs: drives.some(({ leg }) => leg !== null),
      rudders: rudders.length,
      thrusters: thrusters.length,
      heat: thrusters.some(({ heatTime }) => heatTime < Infinity),
      fenders: fenders.length,
    }),
  };
}
