import type { Circle, Sheet } from '@/core/trials';
import { DEGREES_PER_RADIAN, MPS_PER_KNOT } from '@/core/units';
import { lengthIn, speedIn, type Units } from './units';
import { spreadText } from './spreads';

/** One line of a characteristic sheet: what was tried, the figure, how far to trust it. */
export interface SheetRow {
  readonly what: string;
  readonly figure: string;
  readonly also: string;
  /** Likely error, as told to the user. */
  readonly spread: string;
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

/** The lines of a sheet, in the user's units. `length` in m, of the boat. */
export function sheetSections(sheet: Sheet, length: number, units: Units): SheetSection[] {
  const speed = (mps: number) => `${speedIn(mps, units.speed).toFixed(1)} ${units.speed}`;
  const metres = (m: number) => `${Math.round(lengthIn(m, units.length))} ${units.length}`;
  const lengths = (m: number) => `${(m / length).toFixed(1)} L`;
  const knots = (mps: number) => `${Math.round(mps / MPS_PER_KNOT)} kn`;
  const row = (
    what: string,
    value: string | null,
    also: string,
    spread: string,
    never = 'never',
  ): SheetRow => ({ what, figure: value ?? never, also: value === null ? '' : also, spread });
  const circle = (what: string, c: Circle | null) =>
    row(
      what,
      c && lengths(c.diameter),
      c ? `${metres(c.diameter)} across; ${speed(c.speed)} and ${rate(c.rate)} in it` : '',
      spreadText('turn'),
      'does not come round',
    );
  const sections: SheetSection[] = [];
  const { speeds } = sheet;
  if (speeds.idleAhead !== null) {
    sections.push({
      name: 'Way',
      rows: [
        row('Idle ahead', speed(speeds.idleAhead), 'every engine', spreadText('speed')),
        row('Half throttle ahead', speed(speeds.halfAhead!), '', spreadText('speed')),
        row('Idle astern', speed(-speeds.idleAstern!), '', spreadText('speed')),
        ...sheet.stops.map(({ from, stop }) =>
          row(
            `Stop from ${speed(from)}, firm astern`,
            stop && lengths(stop.distance),
            stop
              ? `${metres(stop.distance)}, ${stop.time.toFixed(0)} s, ${Math.abs(stop.turned) < 0.009 ? 'straight' : `turns ${degrees(stop.turned)} ${toSide(stop.turned)}`}`
              : '',
            spreadText('way'),
          ),
        ),
        row(
          `Carry in neutral, ${speed(2 * MPS_PER_KNOT)} to ${speed(0.5 * MPS_PER_KNOT)}`,
          sheet.carry && lengths(sheet.carry.distance),
          sheet.carry ? `${metres(sheet.carry.distance)}, ${sheet.carry.time.toFixed(0)} s` : '',
          spreadText('way'),
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
          lengths(sheet.carry.distance),
          `${metres(sheet.carry.distance)}, ${sheet.carry.time.toFixed(0)} s`,
          spreadText('way'),
        ),
      ],
    });
  }
  const { circles, kick, backAndFill, opposed } = sheet;
  if (kick) {
    const half = (what: string, turn: Sheet['backAndFill']['port']) =>
      row(
        what,
        turn && lengths(turn.room),
        turn
          ? `lane ${metres(turn.room)} wide, ${turn.bursts} bursts, ${turn.time.toFixed(0)} s`
          : '',
        spreadText('turn'),
        'not in 24 bursts',
      );
    sections.push({
      name: 'Turning',
      rows: [
        circle('Circle, hard over, idle ahead', circles.aheadIdle),
        circle('Circle, hard over, half ahead', circles.aheadHalf),
        circle('Circle, hard over, idle astern', circles.asternIdle),
        circle('Circle, hard over, half astern', circles.asternHalf),
        row(
          `Kick ahead from rest, ${kick.seconds.toFixed(0)} s of half throttle`,
          rate(kick.rate),
          `${degrees(kick.turned)} turned, ${speed(kick.headway)} gained`,
          spreadText('turn'),
        ),
        half('Half turn to starboard, back and fill', backAndFill.starboard),
        half('Half turn to port, back and fill', backAndFill.port),
        ...(opposed
          ? [
              row(
                'Engines opposed at idle',
                rate(opposed.rate),
                `creeps ${opposed.creep >= 0 ? 'ahead' : 'astern'} at ${speed(Math.abs(opposed.creep))}; ${
                  Number.isFinite(opposed.extraAstern)
                    ? `${Math.round(100 * opposed.extraAstern)} % more thrust astern stops that`
                    : 'no throttle astern stops that'
                }`,
                spreadText('turn'),
              ),
            ]
          : []),
      ],
    });
  }
  const { walk, steering } = sheet;
  if (walk) {
    const still = Math.abs(walk.turned) < 0.002;
    sections.push({
      name: 'Prop walk and steerage',
      rows: [
        row(
          `Firm astern from rest, ${walk.seconds.toFixed(0)} s`,
          still ? 'none' : degrees(walk.turned),
          still
            ? ''
            : `stern ${metresOf(Math.abs(walk.stern), units)} ${toSide(walk.stern)}, ${speed(walk.sternway)} of sternway`,
          spreadText('walk'),
        ),
        row(
          'Least headway that steers, in neutral',
          steering.ahead === null ? null : speed(steering.ahead),
          `full wheel turns her ${(steering.rate * DEGREES_PER_RADIAN).toFixed(steering.rate < 0.01 ? 2 : 0)}°/s`,
          spreadText('turn'),
          'none to 5 kn',
        ),
        row(
          'Sternway at which full wheel holds the walk',
          steering.astern === null
            ? null
            : steering.astern === 0
              ? 'at once'
              : speed(steering.astern),
          steering.astern === 0 ? 'no walk to hold' : 'going astern at half of a firm throttle',
          spreadText('walk'),
        ),
      ],
    });
  }
  const abeam = sheet.drifts.filter((d) => Math.abs(d.began - Math.PI / 2) < 0.01);
  sections.push({
    // Without an engine there is none to be in neutral.
    name: `In wind, let go beam on${walk ? ', engine in neutral' : ''}`,
    rows: abeam.map((d) =>
      row(
        `${knots(d.wind)} of wind`,
        speed(d.drift),
        `lies with the wind ${degrees(d.lies)} off her bow${d.fallsIn === null ? '' : `; bow moves 30° in ${d.fallsIn.toFixed(0)} s`}`,
        spreadText('wind'),
      ),
    ),
  });
  const { holds } = sheet;
  const wind = (mps: number | null) =>
    mps === null ? null : mps === Infinity ? 'any to 58 kn' : mps === 0 ? 'none' : knots(mps);
  const held = [
    ...(holds.burst === null
      ? []
      : [
          row(
            'Half ahead, wheel hard over',
            wind(holds.burst),
            `wind abeam, from rest; the stem is held for ${holds.seconds.toFixed(0)} s below this`,
            spreadText('wind'),
          ),
        ]),
    ...(holds.thruster === null
      ? []
      : [
          row(
            'Bow thruster alone',
            wind(holds.thruster),
            `wind abeam, from rest; the stem is held for ${holds.seconds.toFixed(0)} s below this`,
            spreadText('wind'),
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
