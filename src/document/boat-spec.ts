import type { BoatSpec, DriveSpec, ThrusterSpec } from '@/core/boat';
import type { Boat } from './boat';
import { radians } from './fields';

/** A half outline mirrored into a closed one, clockwise from aft: body axes, m. */
export function wholeOutline(half: readonly (readonly [number, number])[]): Float64Array {
  const points: [number, number][] = half.map(([x, y]) => [x, y]);
  for (let i = half.length - 1; i >= 0; i--) {
    const [x, y] = half[i]!;
    if (y > 0) points.push([x, -y]);
  }
  return Float64Array.from(points.flat());
}

/** Half breadth of a half outline at x, by straight lines, m. */
export function halfBreadth(half: readonly (readonly [number, number])[], x: number): number {
  const held = Math.max(half[0]![0], Math.min(half.at(-1)![0], x));
  for (let i = 1; i < half.length; i++) {
    const [x0, y0] = half[i - 1]!;
    const [x1, y1] = half[i]!;
    if (held >= x0 && held <= x1) return x1 > x0 ? y0 + ((held - x0) / (x1 - x0)) * (y1 - y0) : y1;
  }
  return half.at(-1)![1];
}

type Fin = Boat['fins'][number];

function foil(fin: Fin) {
  return {
    name: fin.name,
    x: fin.x_m,
    y: fin.y_m,
    area: fin.area_m2,
    effectiveAspect: fin.effectiveAspect,
    stallAngle: radians(fin.stall_deg),
    profileDrag: fin.profileDrag,
    broadsideDrag: fin.broadsideDrag,
    reversedShare: fin.reversedShare,
    speedShare: fin.speedShare,
  };
}

function hullSpec(hull: Boat['hull']): BoatSpec['hull'] {
  return {
    length: hull.length_m,
    beam: hull.beam_m,
    waterlineLength: hull.waterlineLength_m,
    draught: hull.draught_m,
    mass: hull.mass_kg,
    xG: hull.centreOfGravity_m,
    yawRadius: hull.yawRadius_m,
    freeboard: hull.freeboard_m,
    airDraught: Math.max(hull.mast_m, hull.freeboard_m + hull.superstructure_m),
    deck: wholeOutline(hull.deck),
    waterline: wholeOutline(hull.waterline),
    draughts: Float64Array.from(hull.draughts.flat()),
    demihullOffset: hull.demihullOffset_m,
    crossFlowDrag: hull.crossFlowDrag,
    crossFlowLead: hull.crossFlowLead,
    obliqueDrag: hull.obliqueDrag,
    liftArea: hull.liftArea_m2,
    liftArm: hull.liftArm_m,
    liftSpread: hull.liftSpread_m,
    liftCentre: 0,
    wettedArea: hull.wettedArea_m2,
    formFactor: hull.formFactor,
    residuaryQuadratic: hull.residuaryQuadratic,
    residuarySextic: hull.residuarySextic,
    asternFactor: hull.asternFactor,
    addedSurge: hull.addedSurge,
    addedSway: hull.addedSway,
    addedYaw: hull.addedYaw,
    munkFactor: hull.munkFactor,
    touchStiffness: hull.touchStiffness_Npm,
    touchLoss: hull.touchLoss_spm,
    derivatives: null,
  };
}

function driveSpec(d: Boat['drives'][number]): DriveSpec {
  return {
    name: d.name,
    x: d.x_m,
    y: d.y_m,
    steering: d.steering,
    leg: d.leg && foil({ ...d.leg, name: `${d.name} leg`, x_m: d.x_m, y_m: d.y_m }),
    hand: d.hand === 'right' ? 1 : -1,
    diameter: d.diameter_m,
    pitch: d.pitch_m,
    bollardThrust: d.bollardThrust_kt,
    asternEfficiency: d.asternEfficiency,
    wakeFraction: d.wakeFraction,
    thrustDeduction: d.thrustDeduction,
    walkAstern: d.walkAstern,
    walkAhead: d.walkAhead,
    idleRps: d.idle_rpm / 60,
    fullRps: d.full_rpm / 60,
    bollardRps: d.bollard_rpm === null ? Infinity : d.bollard_rpm / 60,
    response: d.response_s,
    shiftDelay: d.shiftDelay_s,
    neutralPause: d.neutralPause_s,
  };
}

function thrusterSpec(t: Boat['thrusters'][number]): ThrusterSpec {
  return {
    name: t.name,
    x: t.x_m,
    thrust: t.thrust_N,
    jetSpeed: t.jetSpeed_mps,
    control: t.control,
    response: t.response_s,
    reverseDelay: t.reverseDelay_s,
    heatTime: t.heat_s ?? Infinity,
    coolTime: t.cool_s,
  };
}

/** The boat in the core's units. */
export function toBoatSpec(boat: Boat): BoatSpec {
  const { hull, windage } = boat;
  return {
    name: boat.name,
    hull: hullSpec(hull),
    foils: boat.fins.map(foil),
    drives: boat.drives.map(driveSpec),
    rudders: boat.rudders.map((r) => ({
      ...foil(r),
      span: r.span_m,
      limit: radians(r.limit_deg),
      inRaceOf: r.inRaceOfDrive === null ? null : r.inRaceOfDrive - 1,
      raceEffect: r.raceEffect,
      straightening: r.straightening,
      hullShare: r.hullShare,
      hullShareX: r.hullShareX_m,
      dragDeduction: r.dragDeduction,
      asternShare: r.asternShare,
    })),
    thrusters: boat.thrusters.map(thrusterSpec),
    steering: {
      control: boat.steering.control,
      rate: radians(boat.steering.rate_degps),
      driveLimit: radians(boat.steering.driveLimit_deg),
    },
    joystick: boat.joystick,
    windage: {
      frontalArea: windage.frontalArea_m2,
      lateralArea: windage.lateralArea_m2,
      frontalDrag: windage.frontalDrag,
      sternDrag: windage.sternDrag ?? windage.frontalDrag,
      sideDrag: windage.sideDrag,
      centreX: windage.centreX_m,
      centreHeight: windage.centreHeight_m,
      centreShift: windage.centreShift,
    },
    fenders: boat.fenders.map((f) => ({
      name: f.name,
      x: f.x_m,
      y: (f.side === 'port' ? -1 : 1) * (halfBreadth(hull.deck, f.x_m) + f.diameter_m / 2),
      diameter: f.diameter_m,
      length: f.length_m,
      height: f.height_m,
      pressure: f.pressure_kPa * 1000,
      loss: f.loss_spm,
    })),
    points: namedPoints(boat),
  };
}

/** The same with the fenders a plan hangs out as well. */
export function withFenders<B extends Pick<Boat, 'fenders'>>(boat: B, more: Boat['fenders']): B {
  return more.length === 0 ? boat : { ...boat, fenders: [...boat.fenders, ...more] };
}

/** The boat's named points, with bow, stern, midships and the usual cleats always among them. */
export function namedPoints(boat: Boat): { name: string; x: number; y: number }[] {
  const { deck } = boat.hull;
  const given = boat.points.map(({ name, x_m, y_m }) => ({ name, x: x_m, y: y_m }));
  const always = [
    { name: 'bow', x: deck.at(-1)![0], y: 0 },
    { name: 'midships', x: 0, y: 0 },
    { name: 'stern', x: deck[0]![0], y: 0 },
  ];
  // Where most boats have their cleats; a boat that names its own has them where it says.
  const cleats = (
    [
      ['bow cleat', 0.42],
      ['midship cleat', 0],
      ['quarter cleat', -0.46],
    ] as const
  ).flatMap(([name, share]) => {
    const x = share * boat.hull.length_m;
    const half = halfBreadth(deck, x);
    return [
      { name: `port ${name}`, x, y: -half },
      { name: `starboard ${name}`, x, y: half },
    ];
  });
  const usual = [...always, ...cleats];
  return [...usual.filter(({ name }) => !given.some((p) => p.name === name)), ...given];
}
