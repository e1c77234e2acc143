import { isPlace, type Boat } from '@/document';

/** "14.5 t", "780 kg". */
export function massWords(kg: number): string {
  if (kg < 1000) return `${Math.round(kg)} kg`;
  const tonnes = kg / 1000;
  return `${tonnes < 100 ? tonnes.toFixed(1) : Math.round(tonnes).toLocaleString('en')} t`;
}

const COUNT = ['no', 'one', 'two', 'three', 'four'];

/** "two outdrives, bow thruster, joystick". */
export function driveWords({ drives, thrusters, joystick }: Boat): string {
  const kind = drives[0]?.kind;
  const parts = [
    !kind ? 'no engine' : `${COUNT[drives.length]} ${kind}${drives.length > 1 ? 's' : ''}`,
    ...thrusters.map((t) => t.name),
    ...(joystick ? ['joystick'] : []),
  ];
  return parts.join(', ');
}

/** Plain names for the figures of a boat's record, by the last part of their path. */
const NAMES: Readonly<Record<string, string>> = {
  length_m: 'length over all',
  beam_m: 'beam',
  waterlineLength_m: 'waterline length',
  draught_m: 'draught',
  freeboard_m: 'height of the deck edge',
  superstructure_m: 'height of superstructure',
  mast_m: 'height of mast over water',
  mass_kg: 'displacement',
  centreOfGravity_m: 'centre of gravity, forward of midships',
  yawRadius_m: 'radius of gyration in yaw',
  deck: 'deck outline',
  waterline: 'waterline outline',
  draughts: 'draught along the body',
  demihullOffset_m: 'each hull from the middle',
  crossFlowDrag: 'cross-flow drag coefficient',
  obliqueDrag: 'lengthwise share of oblique drag',
  liftArea_m2: 'lift area of the bare hull',
  crossFlowLead: 'more of it at the leading end, share',
  liftArm_m: 'where that lift acts',
  liftSpread_m: 'spread of that lift',
  wettedArea_m2: 'wetted area',
  formFactor: 'form factor of friction',
  residuaryQuadratic: 'residuary resistance, Fn² part',
  residuarySextic: 'residuary resistance, Fn⁶ part',
  asternFactor: 'resistance astern over ahead',
  addedSurge: 'added mass in surge, share',
  addedSway: 'added mass in sway, share',
  addedYaw: 'added inertia in yaw, share',
  munkFactor: 'share of the Munk moment kept',
  touchStiffness_Npm: 'stiffness of bare hull',
  touchLoss_spm: 'loss in a touch',
  area_m2: 'area',
  x_m: 'forward of midships',
  y_m: 'to starboard',
  effectiveAspect: 'effective aspect ratio',
  stall_deg: 'stall angle',
  profileDrag: 'profile drag',
  broadsideDrag: 'broadside drag',
  reversedShare: 'lift trailing edge first, share',
  speedShare: 'speed of the water there, share',
  span_m: 'span',
  limit_deg: 'greatest angle',
  raceEffect: 'share of the race’s pressure taken up',
  straightening: 'share of sideways flow felt',
  hullShare: 'side force raised on the hull, share',
  hullShareX_m: 'where that acts',
  dragDeduction: 'drag taken off by the hull, share',
  asternShare: 'force left going astern, share',
  blades: 'blades',
  power_kW: 'engine power',
  diameter_m: 'propeller diameter',
  pitch_m: 'propeller pitch',
  bollardThrust_kt: 'thrust coefficient at rest',
  asternEfficiency: 'thrust astern over ahead',
  wakeFraction: 'wake fraction',
  thrustDeduction: 'thrust deduction',
  walkAstern: 'prop walk astern over thrust',
  walkAhead: 'prop walk ahead over thrust',
  idle_rpm: 'idle, at the propeller',
  full_rpm: 'full, at the propeller',
  bollard_rpm: 'most from rest, at the propeller',
  response_s: 'response time',
  shiftDelay_s: 'lever to clutch',
  neutralPause_s: 'least pause in neutral',
  thrust_N: 'static thrust',
  jetSpeed_mps: 'speed of the jet',
  reverseDelay_s: 'wait before it reverses',
  heat_s: 'seconds at full until it cuts out',
  cool_s: 'time to cool',
  rate_degps: 'rate of the helm',
  driveLimit_deg: 'greatest angle of drives',
  frontalArea_m2: 'wind area from ahead',
  lateralArea_m2: 'wind area from the side',
  frontalDrag: 'drag coefficient, wind ahead',
  sternDrag: 'drag coefficient, wind astern',
  sideDrag: 'drag coefficient, wind abeam',
  centreX_m: 'centre of wind area, forward of midships',
  centreHeight_m: 'centre of wind area, height',
  centreShift: 'shift to the windward end, share of length',
};

/** The same fields mean other things on a fender. */
const FENDER_NAMES: Readonly<Record<string, string>> = {
  diameter_m: 'diameter',
  length_m: 'length',
  pressure_kPa: 'pressure',
  loss_spm: 'loss in a touch',
};

const UNITS: Readonly<Record<string, string>> = {
  m: 'm',
  m2: 'm²',
  kg: 'kg',
  kW: 'kW',
  kPa: 'kPa',
  rpm: 'rev/min',
  s: 's',
  deg: '°',
  degps: '°/s',
  N: 'N',
  Npm: 'N/m',
  spm: 's/m',
  mps: 'm/s',
};

/** What a figure is called and measured in, by its path in the record. */
export function figureWords(path: string): { name: string; unit: string } {
  const field = path.slice(path.lastIndexOf('.') + 1);
  const names = path.startsWith('fenders') ? { ...NAMES, ...FENDER_NAMES } : NAMES;
  const suffix = field.split('_')[1] ?? '';
  return { name: names[field] ?? field, unit: UNITS[suffix] ?? '' };
}

/** How far a figure may be off, in words. */
export function spreadWords(field: string, percent: number): string {
  if (percent === 0) return 'exact';
  return isPlace(field) ? `±${percent} % of the boat’s length` : `±${percent} %`;
}
