import { sheetFigures, type Sheet, type SheetRanges } from '@/core/trials';
import { DEGREES_PER_RADIAN, MPS_PER_KNOT } from '@/core/units';
import { lengthIn, speedIn, type Units } from './units';
import { rangeText } from './spreads';

/** One line of a characteristic sheet: what was tried, the figure, how far to trust it. */
export interface SheetRow {
  readonly what: string;
  readonly figure: string;
  readonly also: string;
  /** Where it lies in 90 of 100; empty while that is not known, or where nothing can be told of it. */
  readonly range: string;
}

export interface SheetSection {
  readonly name: string;
  readonly rows: readonly SheetRow[];
}

const degrees = (radians: number) => `${Math.round(Math.abs(radians) * DEGREES_PER_RADIAN)}°`;
const rate = (perSecond: number) => {
  const figure = Math.abs(perSecond) * DEGREES_PER_RADIAN;
  return `${figure.toFixed(figure < 1 ? 2 : 1)}°/s`;
};
const toSide = (radians: number) => (radians < 0 ? 'to port' : 'to starboard');

/** Turned by less than this it has not turned, rad. */
const STILL = 0.002;
const ANY_WIND = 'any to 58 kn';

/** The lines of a sheet, in the user's units. `length` in m, of the boat. */
export function sheetSections(
  sheet: Sheet,
  length: number,
  units: Units,
  ranges: SheetRanges = {},
): SheetSection[] {
  const figures = sheetFigures(sheet);
  const speed = (mps: number) => `${speedIn(mps, units.speed).toFixed(1)} ${units.speed}`;
  const metres = (m: number) => `${Math.round(lengthIn(m, units.length))} ${units.length}`;
  const lengths = (m: number) => `${(m / length).toFixed(m < 2 * length ? 2 : 1)} L`;
  const knots = (mps: number) => `${Math.round(mps / MPS_PER_KNOT)} kn`;
  /** `named` is the figure's name among those of the sheet. */
  const row = (
    what: string,
    named: string,
    text: (value: number) => string,
    also: string,
    never = 'never',
  ): SheetRow => {
    const value = figures[named] ?? null;
    const range = ranges[named];
    return {
      what,
      figure: value === null ? never : text(value),
      also: value === null ? '' : also,
      range: range ? rangeText(range, text, never === ANY_WIND ? null : never) : '',
    };
  };
  const circle = (what: string, named: keyof Sheet['circles']) => {
    const c = sheet.circles[named];
    return row(
      what,
      named,
      lengths,
      c ? `${metres(c.diameter)} across; ${speed(c.speed)} and ${rate(c.rate)} in it` : '',
      'does not come round',
    );
  };
  const sections: SheetSection[] = [];
  const { speeds } = sheet;
  if (speeds.idleAhead !== null) {
    sections.push({
      name: 'Way',
      rows: [
        row('Idle ahead', 'idleAhead', speed, 'every engine'),
        row('Half throttle ahead', 'halfAhead', speed, ''),
        row('Idle astern', 'idleAstern', speed, ''),
        ...sheet.stops.map(({ from, stop }, i) =>
          row(
            `Stop from ${speed(from)}, firm astern`,
            `stop ${i}`,
            lengths,
            stop
              ? `${metres(stop.distance)}, ${stop.time.toFixed(0)} s, ${Math.abs(stop.turned) < 0.009 ? 'straight' : `turns ${degrees(stop.turned)} ${toSide(stop.turned)}`}`
              : '',
          ),
        ),
        row(
          `Carry in neutral, ${speed(2 * MPS_PER_KNOT)} to ${speed(0.5 * MPS_PER_KNOT)}`,
          'carry',
          lengths,
          sheet.carry ? `${metres(sheet.carry.distance)}, ${sheet.carry.time.toFixed(0)} s` : '',
          'over two hours',
        ),
      ],
    });
  } else if (sheet.carry) {
    sections.push({
      name: 'Way',
      rows: [
        row(
          `Carry from ${speed(2 * MPS_PER_KNOT)} to ${speed(0.5 * MPS_PER_KNOT)}`,
          'carry',
          lengths,
          `${metres(sheet.carry.distance)}, ${sheet.carry.time.toFixed(0)} s`,
        ),
      ],
    });
  }
  const { kick, backAndFill, opposed } = sheet;
  if (kick) {
    const half = (what: string, named: string, turn: Sheet['backAndFill']['port']) =>
      row(
        what,
        named,
        lengths,
        turn
          ? `lane ${metres(turn.room)} wide, ${turn.bursts} bursts, ${turn.time.toFixed(0)} s`
          : '',
        'not in 24 bursts',
      );
    sections.push({
      name: 'Turning',
      rows: [
        circle('Circle, hard over, idle ahead', 'aheadIdle'),
        circle('Circle, hard over, half ahead', 'aheadHalf'),
        circle('Circle, hard over, idle astern', 'asternIdle'),
        circle('Circle, hard over, half astern', 'asternHalf'),
        row(
          `Kick ahead from rest, ${kick.seconds.toFixed(0)} s of half throttle`,
          'kick',
          rate,
          `${degrees(kick.turned)} turned, ${speed(kick.headway)} gained`,
        ),
        half('Half turn to starboard, back and fill', 'fillStarboard', backAndFill.starboard),
        half('Half turn to port, back and fill', 'fillPort', backAndFill.port),
        ...(opposed
          ? [
              row(
                'Engines opposed at idle',
                'opposed',
                rate,
                `creeps ${opposed.creep >= 0 ? 'ahead' : 'astern'} at ${speed(Math.abs(opposed.creep))}; ${
                  Number.isFinite(opposed.extraAstern)
                    ? `${Math.round(100 * opposed.extraAstern)} % more thrust astern stops that`
                    : 'no throttle astern stops that'
                }`,
              ),
            ]
          : []),
      ],
    });
  }
  const { walk, steering } = sheet;
  if (walk) {
    const still = Math.abs(walk.turned) < STILL;
    sections.push({
      name: 'Prop walk and steerage',
      rows: [
        row(
          `Firm astern from rest, ${walk.seconds.toFixed(0)} s`,
          'walk',
          (turned) => (Math.abs(turned) < STILL ? 'none' : degrees(turned)),
          still
            ? ''
            : `stern ${metresOf(Math.abs(walk.stern), units)} ${toSide(walk.stern)}, ${speed(walk.sternway)} of sternway`,
        ),
        row(
          'Least headway that steers, in neutral',
          'steerAhead',
          speed,
          `full wheel turns the boat ${(steering.rate * DEGREES_PER_RADIAN).toFixed(steering.rate < 0.01 ? 2 : 0)}°/s`,
          'none to 5 kn',
        ),
        row(
          'Sternway at which full wheel holds the walk',
          'steerAstern',
          (sternway) => (sternway === 0 ? 'at once' : speed(sternway)),
          steering.astern === 0 ? 'no walk to hold' : 'going astern at half of a firm throttle',
        ),
      ],
    });
  }
  const abeam = sheet.drifts.filter((d) => Math.abs(d.began - Math.PI / 2) < 0.01);
  sections.push({
    // Without an engine there is none to be in neutral.
    name: `In wind, let go beam on${walk ? ', engine in neutral' : ''}`,
    rows: abeam.map((d, i) =>
      row(
        `${knots(d.wind)} of wind`,
        `drift ${i}`,
        speed,
        `lies with the wind ${degrees(d.lies)} off the bow${d.fallsIn === null ? '' : `; bow moves 30° in ${d.fallsIn.toFixed(0)} s`}`,
      ),
    ),
  });
  const { holds } = sheet;
  const wind = (mps: number) => (mps === Infinity ? ANY_WIND : mps === 0 ? 'none' : knots(mps));
  const held = [
    ...(holds.burst === null
      ? []
      : [
          row(
            'Half ahead, wheel hard over',
            'burst',
            wind,
            `wind abeam, from rest; the stem is held for ${holds.seconds.toFixed(0)} s below this`,
            ANY_WIND,
          ),
        ]),
    ...(holds.thruster === null
      ? []
      : [
          row(
            'Bow thruster alone',
            'thruster',
            wind,
            `wind abeam, from rest; the stem is held for ${holds.seconds.toFixed(0)} s below this`,
            ANY_WIND,
          ),
        ]),
  ];
  if (held.length > 0)
    sections.push({ name: 'Wind in which the bow can still be held', rows: held });
  return sections;
}

function metresOf(m: number, units: Units): string {
  return `${lengthIn(m, units.length).toFixed(1)} ${units.length}`;
}

/** "At 2 kn bow thruster: 40–70 % of it, in nine of ten." for each thruster whose range is known. */
export function thrusterRanges(sheet: Sheet, ranges: SheetRanges): string[] {
  return sheet.thrusters.flatMap(({ name }, i) => {
    const range = ranges[`share ${i}`];
    const percent = (share: number) => `${Math.round(100 * share)} %`;
    return range ? [`At 2 kn ${name}: ${rangeText(range, percent)}, in nine of ten.`] : [];
  });
}
