import type { HandlingGrade, GradeReason, Fault, FaultFigures, FaultId } from '@/core/debrief';
import { DEGREES_PER_RADIAN } from '@/core/units';
import type { PlanDocument } from '@/document';
import { the } from './lines';
import { boatSpeed, clock, distance, force, touchSpeed, type Units } from './units';

const degrees = (radians: number) => `${Math.round(radians * DEGREES_PER_RADIAN)}°`;
const seconds = (value: number) => `${value.toFixed(1)} s`;

const GRIPPED = {
  sides: 'wedged between the sides',
  gate: 'an end on the gate',
  coping: 'the rail under the coping',
} as const;

/** Names and units that figures are written with. */
interface Naming {
  readonly lines: PlanDocument['lines'];
  readonly crew: PlanDocument['crew'];
  readonly units: Units;
}

/** What a fault is called, why it matters, what to try, and what shows it, in figures: said once for each rule. */
interface FaultWords<K extends FaultId> {
  readonly name: string;
  readonly why: string;
  readonly tried: string;
  readonly evidence: (figures: FaultFigures[K], naming: Naming) => string;
}

export const FAULT_WORDS: { readonly [K in FaultId]: FaultWords<K> } = {
  'gear before steering': {
    name: 'Gear before steering',
    why: 'the first of a burst does the most while the boat has no way on; it went before the rudder was there.',
    tried: 'put the wheel over, wait until it is there, then the gear.',
    evidence: ({ late, turned }) =>
      `wheel ${seconds(late)} after the gear, ${degrees(turned)} over`,
  },
  'no pause in neutral': {
    name: 'No pause in neutral',
    why: 'the shaft is still turning the other way: gearbox and coupling take the blow.',
    tried: 'count one in neutral between ahead and astern.',
    evidence: ({ pause, wanted }) => `${seconds(pause)} in neutral, ${seconds(wanted)} wanted`,
  },
  'left in gear': {
    name: 'Left in gear',
    why: 'way is gathered while nobody minds it, and has to be taken off again in less room.',
    tried: 'a burst, then neutral at once; let the boat carry.',
    evidence: ({ seconds: long, gained, room }, { units }) =>
      `${seconds(long)} in gear with nothing ordered: ${boatSpeed(gained, units)} gained, ${distance(room, units)} of room left`,
  },
  'neutral late': {
    name: 'Neutral too late',
    why: 'the boat was driven on when there was no room left to stop it in.',
    tried: 'out of gear while the boat’s way still carries it further than you want to go.',
    evidence: ({ late, room, needs }, { units }) =>
      `${seconds(late)} too late: ${distance(needs, units)} wanted to stop, ${distance(room, units)} there`,
  },
  'too fast for the room': {
    name: 'Too fast for the room',
    why: 'a firm burst against the boat’s way could not have stopped it before what lay ahead.',
    tried: 'half the speed a length earlier: come up at what a touch would forgive.',
    evidence: ({ speed, room, needs, what }, { units }) =>
      `${boatSpeed(speed, units)} with ${distance(room, units)} to ${what ?? 'what lies ahead'}; the boat stops in ${distance(needs, units)}`,
  },
  'astern too early': {
    name: 'Astern too early',
    why: 'the boat stopped short and off, without way for the rudder, and the wind took it.',
    tried: 'let the boat carry on in neutral; astern when its berth is abreast.',
    evidence: ({ short }, { units }) =>
      `stopped ${distance(short, units)} short, then driven on again`,
  },
  'astern too hard': {
    name: 'Astern too hard',
    why: 'the boat did not stop but went back, and walked further than it need have.',
    tried: 'less throttle, and neutral the moment the boat stops over the ground.',
    evidence: ({ sternway, throttle }, { units }) =>
      `${Math.round(100 * throttle)} % astern, ${boatSpeed(sternway, units)} of sternway by neutral`,
  },
  'steering not reversed': {
    name: 'Steering not reversed with the gear',
    why: 'an outboard or outdrive pushes where it points: astern, the same wheel sends the stern the other way.',
    tried: 'neutral, wheel across, then the gear.',
    evidence: (figures) =>
      `wheel kept ${degrees(Math.abs(figures.angle))} to ${figures.angle < 0 ? 'port' : 'starboard'} for ${seconds(figures.seconds)} with the gear the other way`,
  },
  'turned early': {
    name: 'Turned too early',
    why: 'room ahead was left unused, and the boat came nearer to what lies inside the turn.',
    tried: 'stand on until your mark is abreast of the one ashore, as the plan has it.',
    evidence: ({ early, unused }, { units }) =>
      `${distance(early, units)} before the plan turns; ${distance(unused, units)} of clearance lost`,
  },
  'lost the bow': {
    name: 'Bow lost to the wind',
    why: 'without way the wind takes the bow, and it takes room and power to bring it back.',
    tried:
      'keep the bow up to the wind with short bursts, or give it up and go astern, stern to the wind.',
    evidence: (figures) =>
      `fell off ${degrees(figures.fell)} down-wind in ${seconds(figures.seconds)}`,
  },
  'watched one end': {
    name: 'One end watched, the other forgotten',
    why: 'the boat pivots: what one end gains, the other pays for.',
    tried: 'look aft before every kick ahead and forward before every one astern.',
    evidence: ({ part, what, grade, speed }) =>
      `${part}: ${grade} touch on ${what}, ${touchSpeed(speed)}`,
  },
  'line not watched': {
    name: 'A line bar-tight, unseen',
    why: 'a loaded line can part or pull its cleat out; nobody may stand in line with it.',
    tried: 'take the engine off or ease it on a turn, as soon as it goes hard.',
    evidence: ({ line, tension, breaks, seconds: long }, { lines, units }) =>
      `${the(lines[line]?.name ?? 'line')} at ${force(tension, units)} for ${seconds(long)}, ${Math.round((100 * tension) / breaks)} % of what parts it`,
  },
  'line slack': {
    name: 'A line slack, unseen',
    why: 'a line that hangs holds nothing: the boat gathers way against it and snatches, and its bight drifts to the propeller.',
    tried: 'take it in on a turn, or motor gently against it again, as soon as it drops.',
    evidence: ({ line, slack, seconds: long }, { lines, units }) =>
      `${the(lines[line]?.name ?? 'line')} hung by ${distance(slack, units)} for ${seconds(long)}`,
  },
  'did not look astern': {
    name: 'Did not look astern',
    why: 'it lay there before the gear went in.',
    tried: 'turn round and look, then go astern.',
    evidence: ({ room, what }, { units }) =>
      `${what} ${distance(room, units)} astern as the gear went in`,
  },
  'did not wait': {
    name: 'Did not wait',
    why: 'a paddler, or a boat leaving, cannot stop or turn for you at once; who is to give way matters less than room.',
    tried:
      'take the way off early and plainly, wait, and go when they are past; local rules say who stands on.',
    evidence: ({ gap, speed, what }, { units }) =>
      `${distance(gap, units)} from ${what} with ${boatSpeed(speed, units)} on`,
  },
  'past the way out': {
    name: 'Past the last way out',
    why: 'until then breaking off would have kept the boat clear; after it nothing would.',
    tried: 'know the moment beforehand, and break off while it is open: that is good handling.',
    evidence: ({ last }) => `the last one at ${clock(last)}`,
  },
  'thruster leaned on': {
    name: 'Thruster leaned on',
    why: 'it heats and cuts out when it is wanted most, and hides what wind and propeller do.',
    tried: 'do it with engine and rudder, and keep the thruster for what they cannot.',
    evidence: ({ seconds: long, share, heat }) =>
      `${Math.round(long)} s of it, ${Math.round(100 * share)} % of the run, ${Math.round(100 * heat)} % hot`,
  },
  'in no-go water': {
    name: 'In water to keep out of',
    why: 'it was marked because somebody swims, paddles or moors there, or because it harms the boat.',
    tried: 'turn earlier, or wait outside until there is room the other way.',
    evidence: (figures) => `${seconds(figures.seconds)} in ${figures.what}`,
  },
  wash: {
    name: 'Wash where it does harm',
    why: 'wash breaks banks, and throws moored boats and the people in them against what they lie to.',
    tried: 'slow down before it, and use short bursts at idle while in it.',
    evidence({ what, speed, most, throttle }, { units }) {
      const fast = speed > most;
      return fast
        ? `${boatSpeed(speed, units)} in ${what}, ${boatSpeed(most, units)} allowed`
        : `${Math.round(100 * throttle)} % throttle in ${what}`;
    },
  },
  'paddle without sign': {
    name: 'A paddle wound without the signal',
    why: 'the water takes the boat before anybody aboard has it held.',
    tried:
      'helm shows that the boat is held, whoever winds shows they have seen it, then half a paddle first.',
    evidence: ({ who }, { crew }) =>
      `${crew[who]?.name ?? 'one of the crew'} wound with no signal since the move before`,
  },
  'over the cill': {
    name: 'Over the cill as the chamber falls',
    why: 'one end of the boat sits down on it while the other goes on falling: boats have gone down so.',
    tried:
      'all paddles down, fill again, then forward of the mark; somebody watches it all the way.',
    evidence({ left, hung }) {
      const time =
        left === null ? 'shallow enough to float off' : `${clock(left)} until the boat hangs`;
      return hung ? `${time}; the boat hung` : `${time}; it did not hang`;
    },
  },
  'gripped in a lock': {
    name: 'Held by a wall or a gate as the level goes',
    why: 'the water goes on without the boat: it rolls or fills, or drops when what holds it lets go.',
    tried:
      'paddles down at once; fenders up where the walls are close, and both ends kept off the gates.',
    evidence({ by, left, hung }) {
      const what = GRIPPED[by];
      const time = left === null ? '' : `, ${clock(left)} until the boat hangs`;
      return `${what}${time}; ${hung ? 'the boat hung' : 'it came free'}`;
    },
  },
  'line fast in a lock': {
    name: 'A line made fast in a falling lock',
    why: 'the water goes and the line stays: the boat hangs on it until it parts, a cleat goes, or it rolls.',
    tried:
      'a turn round the bollard and the tail in a hand; if it jams, paddles down before anything else.',
    evidence({ line, hung, parted }, { lines }) {
      const name = the(lines[line]?.name ?? 'line');
      return parted ? `${name} parted` : hung ? `the boat hung on ${name}` : `${name}, still fast`;
    },
  },
  'person in danger': {
    name: 'Somebody in danger',
    why: 'a propeller was turning within reach of a foot.',
    tried: 'neutral first, say so, hear it said back; then they step.',
    evidence: ({ who }, { crew }) => crew[who]?.name ?? 'one of the crew',
  },
};

/** What shows a fault, in figures. */
export const faultEvidence = (
  { rule, figures }: Fault,
  { lines, crew }: Pick<PlanDocument, 'lines' | 'crew'>,
  units: Units,
): string =>
  (FAULT_WORDS[rule] as FaultWords<FaultId>).evidence(figures as never, { lines, crew, units });

export const GRADE_WORDS: Readonly<Record<HandlingGrade, string>> = {
  careful: 'Careful',
  fair: 'Fair',
  rough: 'Rough',
  harmful: 'Damage',
};

/** Why a run is not graded better. */
export function gradeReason(
  reason: GradeReason,
  { lines }: Pick<PlanDocument, 'lines'>,
  units: Units,
): string {
  switch (reason.is) {
    case 'danger':
      return 'somebody was in danger';
    case 'struck':
      return `${reason.name} was run into at ${clock(reason.time)}`;
    case 'aground':
      return `the boat took the ground at ${clock(reason.time)}`;
    case 'overhead':
      return `the boat did not fit under ${reason.name} at ${clock(reason.time)}`;
    case 'fouled':
      return 'a line got into the propeller';
    case 'parted':
      return `${the(lines[reason.line]?.name ?? 'line')} parted at ${clock(reason.time)}`;
    case 'touch': {
      const { grade, name, part, speed, time } = reason.touch;
      return `${grade} touch on ${name}, ${part}, ${touchSpeed(speed)} at ${clock(time)}`;
    }
    case 'near':
      return `${distance(Math.max(0, reason.distance), units)} from ${reason.name} at ${clock(reason.time)}`;
    case 'load': {
      const { line, tension, breaks } = reason.load;
      return `${the(lines[line]?.name ?? 'line')} at ${Math.round((100 * tension) / breaks)} % of what parts it`;
    }
    case 'fault':
      return `${FAULT_WORDS[reason.fault.rule].name.toLowerCase()} at ${clock(reason.fault.time)}`;
  }
}
