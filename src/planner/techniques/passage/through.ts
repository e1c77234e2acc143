import { gatesOf, lineLength, type Paddle, type Side } from '@/core/locks';
import { degrees } from '@/document/fields';
import type { StepDocument, CueDocument, OrderDocument } from '@/document/plan';
import {
  step,
  compassOf,
  engine,
  near,
  planOf,
  steer,
  template,
  tenth,
  wayOff,
  type PlanTemplate,
} from '../../template';
import { letGo } from '../line-leads';
import { entryOf, type Entry } from './entry';
import { comingIn } from './coming';
import { CENTRE_LINE, clearOfIt, comesIn, passageParameters, stops, straightOut } from './course';
import { linesOnOf, neighbourLines } from './neighbour';
import { before, tendsToo, TURNS, wide } from './sharing';
import { landingLines } from './landing';
import { LANDING_LINE, landingLine, pickUpAt, takenUp } from './pickup';
import { beforeShe } from './before';
import { stepsAshore } from './waiting';
import { liesInLock, type PassageLie } from './lie';
import { by, gatesTo, handsOf, making, opened, paddlesOf, wound, type Hands } from './water';
import type { Setting } from '../../setting';

const LINE = CENTRE_LINE;
/** Her line goes ashore before the gates shut; the helm waits so long for a throw to hold, s. */
const LINE_ON_S = 90;
/** On from one chamber to the next she carries her way so far before she is stopped. */
const CARRIES_LENGTHS = 0.3;
/** The line is aboard before the engine turns, s. */
const LINE_HOME_S = 8;

/** Held by her line, the gates shut behind, the water made, the gates ahead open: that of a side last, if it matters. */
function locked(
  setting: Setting,
  lie: PassageLie,
  hands: Hands,
  entry: Entry | null,
  last: Side | null = null,
): StepDocument[] {
  const { sited, going, from, neighbour } = lie;
  const kept: OrderDocument = {
    do: 'tend',
    after_s: 0,
    line: LINE,
    how: 'keep',
    turns: TURNS[going],
    winch: false,
    ...by(hands.aboard),
  };
  const on: CueDocument = { is: 'line', line: LINE, state: 'on' };
  // Whoever comes in after her finds her held.
  const follows = neighbour?.comes && !neighbour.comes.first ? neighbour : null;
  const leaves = gatesOf(sited.lock, from).kind === 'single' ? 'gate' : 'gates';
  return [
    ...(follows ? comingIn(setting, sited, follows, lie, on, [kept], entry!) : []),
    step(
      'held',
      going === 'up'
        ? `kept snug, never fast; the ${leaves} shut behind`
        : `on a turn, never fast; the ${leaves} shut behind`,
      follows ? linesOnOf(follows) : on,
      [...(follows ? tendsToo(lie) : [kept]), gatesTo(lie, from, 'shut', hands)],
      'line off, back out while the gates are open',
      LINE_ON_S,
    ),
    ...making(lie, hands),
    step(
      'open',
      'level: the gates ahead',
      { is: 'lock', lock: sited.name, state: `level ${beyond(lie)}` },
      opened(lie, hands, last),
      'the gates stay shut, paddles down',
      900,
    ),
  ];
}

/** The side of a lock she goes on to. */
const beyond = ({ going }: PassageLie) => (going === 'up' ? 'above' : 'below');

/** Stopped so far off the gates ahead, and her line on. */
function stopped(
  setting: Setting,
  lie: PassageLie,
  hands: Hands,
  stop: number,
  back: number,
): StepDocument[] {
  return [
    stops(setting, lie, stop, back),
    step(
      'line',
      'neutral; the line round the bollard and back',
      wayOff(25 + setting.pause),
      [
        engine('neutral'),
        {
          do: 'pass',
          after_s: 1,
          line: LINE,
          to: lie.bollard,
          how: hands.how,
          ...by(hands.aboard),
        },
      ],
      'short ahead and astern to hold her',
    ),
  ];
}

/** The gates ahead stand open: her line home, then dead slow on; paddles that must not stay up come down meanwhile. */
function onwards(
  lie: PassageLie,
  hands: Hands,
  title: string,
  slow: number,
  aside: number,
  down: readonly Paddle[] = [],
  cue: CueDocument = wide(lie),
): StepDocument {
  const { along } = lie;
  return step(
    'out',
    title,
    cue,
    [
      letGo(LINE, 0, hands.aboard),
      engine('ahead', slow, LINE_HOME_S),
      steer(compassOf(degrees(along) + aside), LINE_HOME_S),
      ...wound(lie, hands, down, 0),
    ],
    'neutral, line on again',
    300,
  );
}

/** The same steps of the next chamber. */
const next = (steps: readonly StepDocument[], number: number): StepDocument[] =>
  steps.map((one) => ({ ...one, id: `${one.id}-in-${number}` }));

/**
 * In by the open gates, stopped and held by one line, its water made, and out by the other gates: of one chamber, or of
 * those of a staircase one after the other.
 */
function throughAt(setting: Setting, lies: readonly PassageLie[]): PlanTemplate | null {
  const { length, boat } = setting;
  const lie = lies[0]!;
  const last = lies.at(-1)!;
  const { sited, to, side } = lie;
  const steps = stepsAshore(setting, landingLines(setting));
  const hands = handsOf(setting, steps);
  const along = degrees(lie.along);
  const rope = Math.max(
    ...lies.map(({ sited: { lock: each, coping }, lead }) =>
      lineLength(each, coping, Math.max(3, lead), boat.hull.freeboard),
    ),
  );
  const toWall = side === 'starboard' ? 1 : -1;
  const follows = lie.neighbour?.comes && !lie.neighbour.comes.first;
  const entry = lie.neighbour?.comes ? entryOf(setting, lie, lie.neighbour) : null;
  // Tried in the lock itself she neither comes in nor stops.
  if (lie.neighbour?.comes && !entry) return null;
  const { waits, landing } = beforeShe(setting, lies, hands, steps, entry);
  const first = before(last);
  const pickUp = pickUpAt(setting, last, hands);
  const landingSide = pickUp?.hand ?? null;
  const led = boat.points.some((point) => point.name === 'helm') ? { ledTo: 'helm' } : {};
  return template({
    // The rest waits for the water.
    decided: lies.length > 1 ? `held-in-${lies.length}` : follows ? 'her-slip' : 'held',
    parameters: passageParameters(setting, lies),
    write: ({ slow, turned, stop, back, angle = 0, nextStop }) =>
      planOf(
        [
          ...(waits?.steps ?? []),
          ...comesIn(setting, lie, {
            waits,
            orders: follows ? [] : tendsToo(lie),
            slow: slow,
            turned: turned,
          }),
          ...stopped(setting, lie, hands, stop, back),
          ...locked(setting, lie, hands, entry, lies.length === 1 ? landingSide : null),
          ...lies
            .slice(1)
            .flatMap((chamber, i) =>
              next(
                [
                  onwards(
                    lies[i]!,
                    hands,
                    'wide open: line home, dead slow on',
                    slow,
                    0,
                    paddlesOf(lies[i]!),
                  ),
                  step(
                    'way-off',
                    'neutral, along the wall',
                    near(
                      'bow',
                      `${chamber.sited.name}, ${to} gates`,
                      nextStop! + CARRIES_LENGTHS * length,
                    ),
                    [engine('neutral'), steer(along)],
                    'astern, stop',
                  ),
                  ...stopped(setting, chamber, hands, nextStop!, back),
                  ...locked(setting, chamber, hands, null, chamber === last ? landingSide : null),
                ],
                i + 2,
              ),
            ),
          ...(first?.steps ?? []),
          onwards(
            last,
            hands,
            first
              ? `${lie.neighbour!.other.name} is through: line home, after her`
              : 'wide open: line home, dead slow out',
            slow,
            -toWall * angle,
            [],
            first ? first.clear : wide(last),
          ),
          straightOut(last),
          ...(pickUp ? takenUp(setting, last, hands, pickUp, slow, back) : [clearOfIt(last)]),
        ],
        pickUp
          ? { is: 'line', line: LANDING_LINE, state: 'off' }
          : { is: 'after', time_s: tenth(Math.max(6, 0.8 * length)) },
        60,
        [
          {
            name: LINE,
            from: lie.cleat,
            length_m: Math.ceil(rope) + 6,
            rope: 'polyester',
            strengthLeft: 0.6,
            doubled: true,
            ...led,
          },
          ...(landing ?? []),
          ...(pickUp ? [{ ...landingLine(pickUp, setting), ...led }] : []),
          ...(lie.neighbour ? neighbourLines(setting, sited, lie.neighbour, lie.going) : []),
        ],
      ),
  });
}

/** Through the lock that is worked, or both of a staircase, at the wall the wind lays her to. */
export const throughTheLock = (setting: Setting): readonly PlanTemplate[] =>
  liesInLock(setting)
    .slice(0, 1)
    .flatMap((lies) => throughAt(setting, lies) ?? []);
