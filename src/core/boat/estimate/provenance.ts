import type { Basis, HowKnown, OwnerFigures } from './owner';

/** How a field's figure is come by, its likely error as a share (of the boat's length for places aboard), and why. */
type Row = readonly [field: string, how: HowKnown, spread: number, note: string];

const BY_OWNER = 'by the owner';

/** What the estimate made, as far as provenance needs to know. */
interface Parts {
  readonly owner: OwnerFigures;
  readonly foils: number;
  readonly drives: number;
  readonly legs: boolean;
  readonly rudders: number;
  readonly thrusters: number;
  /** Do thrusters cut out hot? */
  readonly heat: boolean;
  readonly fenders: number;
}

function hullRows(owner: OwnerFigures): Row[] {
  const given = ['length_m', 'beam_m', 'draught_m', 'mass_kg', 'freeboard_m'] as const;
  const heights = ['superstructure_m', 'mast_m'] as const;
  const catamaran = owner.class === 'sailing catamaran';
  return [
    ...given.map((field): Row => [field, 'given', 0.03, BY_OWNER]),
    ...heights.map((field): Row => [field, 'given', 0.1, BY_OWNER]),
    owner.waterlineLength === null
      ? ['waterlineLength_m', 'class default', 0.04, 'share of the length']
      : ['waterlineLength_m', 'given', 0.03, BY_OWNER],
    [
      'centreOfGravity_m',
      'assumption',
      0.03,
      'usual place for the class: planing hulls have it well aft',
    ],
    ['yawRadius_m', 'class default', 0.1, 'share of the length'],
    ['deck', 'class default', 0.05, 'class outline drawn to length and beam'],
    ['waterline', 'class default', 0.08, 'class outline drawn to waterline length and beam'],
    ['draughts', 'formula', 0.15, 'displacement over waterline area and block coefficient'],
    catamaran
      ? ['demihullOffset_m', 'formula', 0.03, 'half the beam less half a hull']
      : ['demihullOffset_m', 'given', 0, 'one hull'],
    ['crossFlowDrag', 'class default', 0.25, 'Hooft 1994, Hoerner 1965, recalled'],
    ['crossFlowLead', 'class default', 0.4, 'the leading end resists more: Hooft 1994, recalled'],
    ['obliqueDrag', 'class default', 0.5, 'what flow across takes off the boat’s way: judgement'],
    ['liftArea_m2', 'formula', 0.3, 'slender body; Clarke et al. 1983 for full forms'],
    ['liftArm_m', 'class default', 0.3, 'where slender-body lift acts, share of the waterline'],
    ['liftSpread_m', 'class default', 0.4, 'resists turning: share of the waterline'],
    ['wettedArea_m2', 'formula', 0.1, 'Mumford: 1.7 L T + volume/T'],
    ['formFactor', 'class default', 0.3, 'on the ITTC-57 line, by fullness of the class'],
    ['residuaryQuadratic', 'class default', 0.5, 'waves and eddies at low speed'],
    ['residuarySextic', 'class default', 0.5, 'rise of waves towards hull speed'],
    ['asternFactor', 'class default', 0.15, 'stern first: 1.2 for fine ends to 1.8 for a transom'],
    ['addedSurge', 'formula', 0.3, 'Lamb spheroid by length and beam'],
    ['addedSway', 'formula', 0.25, 'slender body ½π T²·k, keel π/4 ρ c² b'],
    ['addedYaw', 'formula', 0.25, 'slender body ½π T² x² along it, and its keels'],
    [
      'munkFactor',
      'class default',
      0.2,
      'decides how the boat lies when drifting: find it by trial',
    ],
    ['touchStiffness_Npm', 'assumption', 0.5, 'grows with displacement^⅔'],
    ['touchLoss_spm', 'assumption', 0.5, 'loss after Hunt and Crossley 1975; not measured'],
  ];
}

/** A fin's, leg's or rudder's own shape. */
const FOIL_ROWS: readonly Row[] = [
  ['effectiveAspect', 'formula', 0.15, 'twice the span over the chord: the hull is its mirror'],
  ['stall_deg', 'class default', 0.15, 'low aspects stall late; wing practice, recalled'],
  ['profileDrag', 'class default', 0.3, 'fair section, some growth on it'],
  ['broadsideDrag', 'class default', 0.15, 'flat plate: Hoerner 1965, recalled'],
  ['reversedShare', 'class default', 0.2, 'trailing edge first; wing practice, recalled'],
];

const FIN_ROWS: readonly Row[] = [
  ['x_m', 'class default', 0.03, 'usual place for the kind of keel'],
  ['y_m', 'class default', 0.01, 'usual place for the kind of keel'],
  ['area_m2', 'formula', 0.2, 'draught below the body × share of the waterline'],
  ['speedShare', 'assumption', 0.05, 'clear of the wake'],
  ...FOIL_ROWS,
];

const LEG_ROWS: readonly Row[] = [
  ['area_m2', 'formula', 0.25, '1.1 × 0.75 propeller diameters'],
  ['speedShare', 'assumption', 0.05, 'clear of the wake'],
  ...FOIL_ROWS,
];

function driveRows(owner: OwnerFigures): Row[] {
  return [
    ['power_kW', 'given', 0.03, BY_OWNER],
    ['blades', 'given', 0, BY_OWNER],
    ['x_m', 'class default', 0.04, 'usual place for the kind of drive'],
    owner.engines === 1
      ? ['y_m', 'given', 0.01, BY_OWNER]
      : ['y_m', 'class default', 0.02, 'usual distance apart'],
    ['diameter_m', 'formula', 0.15, 'disc theory for the thrust per kilowatt of such drives'],
    ['pitch_m', 'class default', 0.2, 'share of the diameter'],
    ['bollardThrust_kt', 'formula', 0.15, '0.42 of the pitch ratio'],
    ['asternEfficiency', 'class default', 0.2, owner.blades],
    ['wakeFraction', 'class default', 0.4, 'by fullness of the stern; least behind a leg'],
    ['thrustDeduction', 'class default', 0.4, 'what the screw’s suction costs the hull'],
    ['walkAstern', 'class default', 0.5, 'weakly known: find it by trial'],
    ['walkAhead', 'class default', 0.6, 'weakly known'],
    owner.idleSpeed === null
      ? ['idle_rpm', 'class default', 0.2, 'thrust meets resistance at the class’s idle speed']
      : ['idle_rpm', 'formula', 0.15, 'thrust meets resistance at idle speed'],
    ['full_rpm', 'formula', 0.15, 'a tenth more than from rest'],
    ['bollard_rpm', 'formula', 0.15, 'thrust per kilowatt at rest'],
    ['response_s', 'class default', 0.4, 'how engines of the size run up; judgement'],
    ['shiftDelay_s', 'class default', 0.4, 'how gears of the size take hold; judgement'],
    ['neutralPause_s', 'class default', 0.5, 'what spares the gear; judgement'],
  ];
}

const RUDDER_ROWS: readonly Row[] = [
  ['x_m', 'class default', 0.02, 'usual place for the class'],
  ['y_m', 'class default', 0.02, 'on the centre line, or behind the screws'],
  ['area_m2', 'class default', 0.2, 'share of waterline length × draught'],
  ['span_m', 'formula', 0.15, 'usual shape, held inside the draught'],
  ['limit_deg', 'class default', 0.1, 'usual lock'],
  ['speedShare', 'class default', 0.1, 'part of the wake reaches the blade'],
  ['raceEffect', 'class default', 0.25, 'what a blade takes up of the race'],
  ['straightening', 'class default', 0.2, 'flow across the stern that reaches the blade'],
  ['hullShare', 'class default', 0.3, 'side force the blade raises on the hull before it'],
  ['hullShareX_m', 'assumption', 0.05, 'close before the blade'],
  ['dragDeduction', 'class default', 0.3, 'part of the blade’s drag the hull does not feel'],
  ['asternShare', 'class default', 0.3, 'a keel close before the blade leaves little of it astern'],
  ...FOIL_ROWS,
];

const THRUSTER_ROWS: readonly Row[] = [
  ['x_m', 'class default', 0.03, 'usual place for the class'],
  ['thrust_N', 'formula', 0.25, '140 N per electrical kW, less for shallow immersion'],
  ['jetSpeed_mps', 'assumption', 0.2, 'usual for tunnels of the class'],
  ['response_s', 'class default', 0.4, 'time to run up; judgement'],
  ['reverseDelay_s', 'class default', 0.5, 'pause before it turns the other way; judgement'],
  ['cool_s', 'class default', 0.5, 'a quarter of an hour; judgement'],
];

const HEAT_ROWS: readonly Row[] = [
  ['heat_s', 'class default', 0.4, 'about three minutes for small electric ones'],
];

const WINDAGE_ROWS: readonly Row[] = [
  ['lateralArea_m2', 'formula', 0.15, 'topsides, house and rig'],
  ['frontalArea_m2', 'formula', 0.2, 'topsides, house and rig'],
  ['frontalDrag', 'class default', 0.2, 'Blendermann 1994, recalled'],
  ['sternDrag', 'class default', 0.2, 'Blendermann 1994, recalled'],
  ['sideDrag', 'class default', 0.15, 'Blendermann 1994, recalled'],
  ['centreX_m', 'formula', 0.02, 'centre of the areas: it decides how the boat lies to the wind'],
  ['centreHeight_m', 'formula', 0.2, 'centre of the areas'],
  ['centreShift', 'class default', 0.4, 'the centre moves towards the windward end; judgement'],
];

const FENDERS: Basis = {
  figure: 'fenders',
  how: 'assumption',
  spread: 0.2,
  note: 'usual sizes and places for the boat',
};

/** How every figure of an estimated boat was come by, one entry for each; fenders and points aboard as wholes. */
export function provenance(parts: Parts): Basis[] {
  const { owner } = parts;
  const at = (path: string, rows: readonly Row[]): Basis[] =>
    rows.map(([field, how, spread, note]) => ({ figure: `${path}.${field}`, how, spread, note }));
  const each = (what: string, count: number, rows: readonly Row[]): Basis[] =>
    Array.from({ length: count }, (_, i) => at(`${what}[${i}]`, rows)).flat();
  return [
    ...at('hull', hullRows(owner)),
    ...each('fins', parts.foils, FIN_ROWS),
    ...each('drives', parts.drives, driveRows(owner)),
    ...Array.from({ length: parts.legs ? parts.drives : 0 }, (_, i) =>
      at(`drives[${i}].leg`, LEG_ROWS),
    ).flat(),
    ...each('rudders', parts.rudders, RUDDER_ROWS),
    ...each('thrusters', parts.thrusters, THRUSTER_ROWS),
    ...each('thrusters', parts.heat ? parts.thrusters : 0, HEAT_ROWS),
    ...at('steering', [
      ['rate_degps', 'class default', 0.3, 'lock to lock as such helms usually take'],
      ['driveLimit_deg', 'class default', 0.15, 'usual lock of legs and pods'],
    ]),
    ...at('windage', WINDAGE_ROWS),
    ...(parts.fenders > 0 ? [FENDERS] : []),
    { figure: 'points', how: 'assumption', spread: 0.03, note: 'usual places for the class' },
  ];
}
