import { estimateBoat, type BoatEstimate } from '@/core/boat';
import type { Boat } from './boat';
import { BOAT_VERSION } from './boat-migrations';
import { degrees } from './fields';
import { toOwnerFigures, type Owner } from './owner';

/** Three figures are more than an estimate has. */
const tidy = (value: number) => Number(value.toPrecision(3));
/** Places aboard to the centimetre. */
const place = (value: number) => Number(value.toFixed(2));

const points = (outline: readonly (readonly [number, number])[]) =>
  outline.map(([x, y]): [number, number] => [
    Number(x.toFixed(3)),
    Math.floor(1000 * y + 1e-6) / 1000,
  ]);

type Fin = Boat['fins'][number];
type Foil = BoatEstimate['foils'][number];

function fin(foil: Foil): Fin {
  return {
    name: foil.name,
    x_m: place(foil.x),
    y_m: place(foil.y),
    area_m2: tidy(foil.area),
    effectiveAspect: tidy(foil.effectiveAspect),
    stall_deg: tidy(degrees(foil.stallAngle)),
    profileDrag: foil.profileDrag,
    broadsideDrag: foil.broadsideDrag,
    reversedShare: foil.reversedShare,
    speedShare: tidy(foil.speedShare),
  };
}

function leg(foil: Foil): NonNullable<Boat['drives'][number]['leg']> {
  const { name: _name, x_m: _x, y_m: _y, ...rest } = fin(foil);
  return rest;
}

function hull(e: BoatEstimate, owner: Owner): Boat['hull'] {
  const { hull: h } = e;
  return {
    length_m: owner.length_m,
    beam_m: owner.beam_m,
    waterlineLength_m: tidy(h.waterlineLength),
    draught_m: owner.draught_m,
    freeboard_m: owner.freeboard_m,
    superstructure_m: owner.superstructure_m,
    mast_m: owner.mast_m,
    mass_kg: owner.displacement_kg,
    centreOfGravity_m: place(h.xG),
    yawRadius_m: tidy(h.yawRadius),
    deck: points(h.deck),
    waterline: points(h.waterline),
    draughts: points(h.draughts),
    demihullOffset_m: place(h.demihullOffset),
    crossFlowDrag: h.crossFlowDrag,
    crossFlowLead: h.crossFlowLead,
    obliqueDrag: h.obliqueDrag,
    liftArea_m2: tidy(h.liftArea),
    liftArm_m: tidy(h.liftArm),
    liftSpread_m: tidy(h.liftSpread),
    wettedArea_m2: tidy(h.wettedArea),
    formFactor: h.formFactor,
    residuaryQuadratic: h.residuaryQuadratic,
    residuarySextic: h.residuarySextic,
    asternFactor: h.asternFactor,
    addedSurge: tidy(h.addedSurge),
    addedSway: tidy(h.addedSway),
    addedYaw: tidy(h.addedYaw),
    munkFactor: tidy(h.munkFactor),
    touchStiffness_Npm: tidy(h.touchStiffness),
    touchLoss_spm: 1.5,
  };
}

function drive(d: BoatEstimate['drives'][number], kind: Boat['drives'][number]['kind']) {
  return {
    name: d.name,
    kind,
    x_m: place(d.x),
    y_m: place(d.y),
    steering: d.steering,
    hand: d.hand === 1 ? ('right' as const) : ('left' as const),
    blades: d.blades,
    folding: d.folding,
    power_kW: tidy(d.power / 1000),
    diameter_m: tidy(d.diameter),
    pitch_m: tidy(d.pitch),
    bollardThrust_kt: tidy(d.bollardThrust),
    asternEfficiency: tidy(d.asternEfficiency),
    wakeFraction: d.wakeFraction,
    thrustDeduction: d.thrustDeduction,
    walkAstern: d.walkAstern,
    walkAhead: d.walkAhead,
    idle_rpm: tidy(d.idleRps * 60),
    full_rpm: tidy(d.fullRps * 60),
    bollard_rpm: tidy(d.bollardRps * 60),
    response_s: d.response,
    shiftDelay_s: d.shiftDelay,
    neutralPause_s: d.neutralPause,
    leg: d.leg && leg(d.leg),
  };
}

/** A whole boat's record from what its owner knows; `kind` says in words what it is. */
export function boatFromOwner(
  owner: Owner,
  named: {
    readonly id: string;
    readonly name: string;
    readonly kind: string;
    readonly note: string;
  },
): Boat {
  const e = estimateBoat(toOwnerFigures(owner));
  const kind = owner.drive === 'none' ? 'shaft' : owner.drive;
  return {
    $schema: 'yawtrope:boat',
    version: BOAT_VERSION,
    ...named,
    owner,
    basis: e.basis.map(({ figure, how, spread, note }) => ({
      figure,
      how,
      spread_pct: Math.round(100 * spread),
      note,
    })),
    hull: hull(e, owner),
    fins: e.foils.map(fin),
    drives: e.drives.map((d) => drive(d, kind)),
    rudders: e.rudders.map((r) => ({
      ...fin(r),
      span_m: tidy(r.span),
      limit_deg: tidy(degrees(r.limit)),
      inRaceOfDrive: r.inRaceOf === null ? null : r.inRaceOf + 1,
      raceEffect: r.raceEffect,
      straightening: r.straightening,
      hullShare: r.hullShare,
      hullShareX_m: place(r.hullShareX),
      dragDeduction: r.dragDeduction,
      asternShare: r.asternShare,
    })),
    thrusters: e.thrusters.map((t) => ({
      name: t.name,
      x_m: place(t.x),
      thrust_N: tidy(t.thrust),
      jetSpeed_mps: t.jetSpeed,
      control: t.control,
      response_s: t.response,
      reverseDelay_s: t.reverseDelay,
      heat_s: t.heatTime === Infinity ? null : t.heatTime,
      cool_s: t.coolTime,
    })),
    steering: {
      control: e.steering.control,
      rate_degps: tidy(degrees(e.steering.rate)),
      driveLimit_deg: tidy(degrees(e.steering.driveLimit)),
    },
    joystick: owner.joystick,
    windage: {
      frontalArea_m2: tidy(e.windage.frontalArea),
      lateralArea_m2: tidy(e.windage.lateralArea),
      frontalDrag: e.windage.frontalDrag,
      sternDrag: e.windage.sternDrag,
      sideDrag: e.windage.sideDrag,
      centreX_m: tidy(e.windage.centreX),
      centreHeight_m: tidy(e.windage.centreHeight),
      centreShift: e.windage.centreShift,
    },
    fenders: e.fenders.map((f) => ({
      name: f.name,
      x_m: place(f.x),
      side: f.y < 0 ? ('port' as const) : ('starboard' as const),
      diameter_m: f.diameter,
      length_m: f.length,
      pressure_kPa: f.pressure / 1000,
      loss_spm: f.loss,
    })),
    points: e.points.map((p) => ({ name: p.name, x_m: place(p.x), y_m: place(p.y) })),
  };
}
