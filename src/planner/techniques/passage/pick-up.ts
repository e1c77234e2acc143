import { gatesOf, intoLock, IN_LOCK, type LockSide as Hand } from '@/core/locks';
import { atan2, wrapHalfTurn } from '@/core/math';
import type { Person } from '@/core/plan';
import { goesOn } from '@/core/trials';
import { degrees } from '@/document/fields';
import type { OrderDocument, SimpleCue } from '@/document/plan';
import { reversed } from '../arrive';
import type { Side } from '@/document/fields';
import type { LineDocument } from '@/document/rigging';
import { step, call, compassOf, engine, near, steer, twentieth, wayOff } from '../../template';
import { letGo, lineOf } from '../line-leads';
import { cleatOf, type PassageLie } from './lie';
import { by, gatesTo, paddlesOf, wound, type LockCrew } from './lock-crew';
import type { Setting } from '../../setting';
import type { PassageNumbers } from './numbers';
import type { Passage, PhaseAt, PickUp } from './phase';

// Whoever worked the lock is taken up again beyond it: the boat stops off the landing, they take its line and it is hauled in; they
// shut the gates behind it, wind the paddles down, and step aboard over where the line holds it.

/** The boat's stern stops so far clear of where the gates swing, m. */
const CLEAR_M = 1.5;
/** A landing further beyond the gates than this, in the boat's lengths, belongs to somebody else. */
const FURTHEST_LENGTHS = 2.6;
/** Rings stand so far back from the edge the boat comes to, m; and no further off the lock's side than this. */
const BACK_M = 0.4;
const ASIDE_M = 8;
/** A landing runs on along the lock's own line within this. */
const ALONG = Math.PI / 6;
/** The boat sheers over by so much of what it is off, and goes on so far for it, in its lengths: hauled in for the rest. */
const SHEERS_SHARE = 0.6;
const RUN_LENGTHS = 0.7;
/** Stopped the boat lies no further across the water than this: it may be narrow. For that it is turned away by no more than this before. */
const ENDS_ACROSS = Math.PI / 45;
const MOST_AWAY = Math.PI / 15;
/** Throttles the boat comes out and is stopped with, as the technique begins with them. */
const SLOWLY = 0.05;
const FIRMLY = 0.35;
/** So long the gates, the paddles and the walk may take, s. */
const STEPS_WITHIN_S = 420;
const MOST_WHO = 4;
export const LANDING_LINE = 'line to the landing';
const SNUG_TURNS = 0.75;

interface Ring {
  readonly name: string;
  /** Beyond the gates, and off the lock's middle line. */
  readonly beyond: number;
  readonly off: number;
  readonly x: number;
  readonly y: number;
}

/** Rings and bollards beyond the gates the boat leaves by, on one side of the lock, the nearest first. */
function ringsOn(setting: Setting, { sited, to }: PassageLie, hand: Hand): Ring[] {
  const where = new Float64Array(2);
  const { length, width } = sited.lock;
  return setting.ends
    .flatMap(({ name, x, y }): Ring[] => {
      intoLock(where, sited, x, y);
      const beyond = to === 'upper' ? -where[IN_LOCK.S]! : where[IN_LOCK.S]! - length;
      const off = where[IN_LOCK.T]! * (hand === 'left' ? 1 : -1);
      const there = beyond > 0 && beyond < FURTHEST_LENGTHS * setting.length;
      return there && off > 0 && off < width / 2 + ASIDE_M ? [{ name, beyond, off, x, y }] : [];
    })
    .sort((a, b) => a.beyond - b.beyond);
}

/** The ring nearest to a way beyond the gates; null without any. */
function nearestTo(rings: readonly Ring[], beyond: number): Ring | null {
  const off = (ring: Ring) => Math.abs(ring.beyond - beyond);
  return rings.reduce<Ring | null>((a, b) => (a && off(a) <= off(b) ? a : b), null);
}

/** How far beyond the gates the boat has to be for them to be shut behind it. */
function sweep({ sited, to }: PassageLie): number {
  // Leaves open up-stream: the upper ones out of the chamber.
  if (to === 'lower') return CLEAR_M;
  const { width } = sited.lock;
  return CLEAR_M + (gatesOf(sited.lock, to).kind === 'single' ? width : 0.6 * width);
}

function onSide(
  setting: Setting,
  lie: PassageLie,
  hand: Hand,
  who: readonly string[],
): PickUp | null {
  const side: Side = (hand === 'left') === (lie.going === 'up') ? 'port' : 'starboard';
  const { length, beam } = setting;
  const cleat = cleatOf(setting, side);
  if (!cleat) return null;
  const rings = ringsOn(setting, lie, hand);
  // Abreast of it the boat's stern is clear of the gates; it has come over, and been stopped, where the landing is long enough.
  const amid = length / 2 + cleat.x;
  const stops = goesOn(setting.craft, lie.ahead + 1.5 * length, SLOWLY, FIRMLY)?.distance ?? 0;
  const run = Math.max(sweep(lie), RUN_LENGTHS * length, stops + 0.3 * length);
  const ring =
    rings.find(({ beyond }) => beyond >= amid + run) ??
    rings.findLast(({ beyond }) => beyond >= amid + sweep(lie));
  if (!ring) return null;
  const next = nearestTo(
    rings.filter((one) => one !== ring),
    ring.beyond,
  );
  const [a, b] = next && next.beyond < ring.beyond ? [next, ring] : [ring, next];
  const heading = b ? atan2(b.x - a.x, b.y - a.y) : lie.along;
  const over = Math.max(0, ring.off - BACK_M - beam / 2);
  const goes = ring.beyond - amid;
  return {
    who,
    side,
    hand,
    cleat: cleat.name,
    ring: ring.name,
    sheer: atan2(SHEERS_SHARE * over, goes),
    heading: Math.abs(wrapHalfTurn(heading - lie.along)) < ALONG ? heading : lie.along,
    over,
    way: lie.ahead + ring.beyond + length / 2 - cleat.x,
  };
}

/** Where whoever works the lock from ashore is taken up beyond it; null where nobody does, or there is no landing. */
export function pickUpAt(setting: Setting, lie: PassageLie, hands: LockCrew): PickUp | null {
  if (hands.ashore === undefined || hands.aboard === undefined) return null;
  const crew = setting.input.rigging?.crew ?? [];
  // Whoever stepped ashore for it as well.
  const isAshore = ({ name, at }: Person) => !at.aboard || name === hands.ashore;
  const who = crew.flatMap((one) => (isAshore(one) ? [one.name] : [])).slice(0, MOST_WHO);
  // The boat's line leads to the side it was on; the other one does as well.
  const hand: Hand = lie.wall;
  const other: Hand = hand === 'left' ? 'right' : 'left';
  return onSide(setting, lie, hand, who) ?? onSide(setting, lie, other, who);
}

/** The boat's line for it, as long as it may have to be. */
export const landingLine = ({ cleat, over }: PickUp, { length }: Setting): LineDocument =>
  lineOf(LANDING_LINE, cleat, over + 0.5 * length, null, true);

/** From the stern clear of the gates until everybody is aboard; then the line comes off. */
export const takesUp =
  ({ setting, lies, crew }: Passage, pickUp: PickUp, { slow, back }: PassageNumbers): PhaseAt =>
  (after) => {
    const lie = lies.at(-1)!;
    const names = pickUp.who.length === 1 ? pickUp.who[0]!.slice(0, 12) : 'all';
    const cross = pickUp.who.map((name): OrderDocument => ({
      do: 'stepAboard',
      after_s: 0,
      by: name,
      point: pickUp.cleat,
    }));
    const across = pickUp.who.map((name): SimpleCue => ({
      is: 'crew',
      who: name,
      where: 'aboard',
    }));
    const tended = (how: 'haul' | 'keep'): OrderDocument => ({
      do: 'tend',
      after_s: 0,
      line: LANDING_LINE,
      how,
      turns: SNUG_TURNS,
      winch: false,
      ...by(crew.aboard),
    });
    const stops = goesOn(setting.craft, pickUp.way, twentieth(slow), twentieth(back));
    const on = stops?.distance ?? 0;
    const toIt = pickUp.side === 'starboard' ? 1 : -1;
    // The boat's screw turns it as it stops: towards it, its stern would go out to the other bank.
    const turned = Math.max(0, toIt * (stops?.turned ?? 0));
    const sheer = toIt * Math.max(-MOST_AWAY, Math.min(pickUp.sheer, ENDS_ACROSS - turned));
    // Whoever comes out after the boat shuts up behind.
    const last = !lie.neighbour || lie.neighbour.outFirst;
    const off = (1 - SHEERS_SHARE) * pickUp.over + BACK_M;
    const stop = Math.sqrt(on * on + off * off);
    const steps = [
      step(
        'clear',
        'stern clear: sheer over to the landing',
        after,
        [steer(compassOf(degrees(lie.along + sheer)))],
        'neutral, straight on',
        240,
      ),
      step(
        'landing',
        'nearly abreast of the ring: astern, stopped',
        {
          is: 'any',
          of: [
            near(pickUp.cleat, pickUp.ring, stop),
            { is: 'abeam', point: pickUp.cleat, mark: pickUp.ring },
          ],
        },
        [steer(compassOf(degrees(pickUp.heading))), ...reversed(setting, 'astern', back)],
        'go on, and come back for them',
        90,
      ),
      step(
        'line-ashore',
        'neutral; a line to the landing',
        wayOff(25 + setting.pause),
        [
          engine('neutral'),
          {
            do: 'pass',
            after_s: 1,
            line: LANDING_LINE,
            to: pickUp.ring,
            how: 'throw',
            ...by(crew.aboard),
          },
        ],
        'short ahead and astern to hold the boat',
        90,
      ),
      step(
        'held-there',
        last ? 'hauled in and held; gates shut behind, paddles down' : 'hauled in and held',
        { is: 'line', line: LANDING_LINE, state: 'on' },
        [
          tended('haul'),
          tended('keep'),
          ...(last
            ? [gatesTo(lie, lie.to, 'shut', crew), ...wound(lie, crew, paddlesOf(lie), 0)]
            : []),
          ...cross,
        ],
        'line off, come round again',
        90,
      ),
      step(
        'aboard',
        `${names} aboard: line home`,
        across.length === 1 ? across[0]! : { is: 'all', of: across },
        [call('all aboard; nobody near the propeller'), letGo(LANDING_LINE, 0, crew.aboard)],
        'hold on; bring the boat closer, no jumping',
        STEPS_WITHIN_S,
      ),
    ];
    return { steps, then: { is: 'line', line: LANDING_LINE, state: 'off' } };
  };
