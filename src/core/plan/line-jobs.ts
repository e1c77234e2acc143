import { carriedOnTurns, LINE, MADE } from '../holding';
import {
  LEFT_SLACK_M,
  LEFT_SNUG_M,
  HAULED_TAUT_SHARE,
  HAULS_FOR_S,
  HAULS_TO_LENGTH_S,
  SNUG_N,
  KEEPS_SNUG_MPS,
  EASING_TURNS,
  WALKS_ABOARD_MPS,
  DROP_REACH_M,
  DROP_S,
  HOOK_REACH_M,
  THROW_S,
  FLIES_MPS,
  MAKE_ON_S,
  TURN_S,
  MAKE_FAST_S,
  CAST_OFF_S,
  HAULS_MPS,
  COMES_HOME_MPS,
  WINCH_MPS,
  EASES_MPS,
  HAND_OVER_M,
  WAITS_S,
  THROWS_TRIED,
  LOOKS_S,
  ROPE_FRICTION,
} from '../policy';
import { boatOf, floatsAt, lineAt, lineLimits, onOf, pointOnWater } from '../simulation';
import type { Deck } from './deck';
import { markNow } from './marks';
import { between, type CrewMember, type Job } from './crew-member';
import { untilLifted } from './line-waits';
import { catchChance, throwRange } from './rigging';
import type { LineEnd, MarkOnPlace, PassHow, PointOnBoat, TendHow } from './references';

/** A line, what it is made on to and how; see orders/pass. */
interface Pass {
  readonly line: number;
  readonly to: LineEnd;
  readonly how: PassHow;
  readonly length: number | null;
}

/** A line and what is done with it; see orders/tend. */
interface Tend {
  readonly line: number;
  readonly how: TendHow;
  readonly length: number | null;
  readonly turns: number;
  readonly winch: boolean;
}

const SHORTEST_M = 0.3;

export const ON: ReadonlySet<number> = new Set([MADE.HELD, MADE.TURNED, MADE.FAST]);

/** What hands do with lines, each a job that says when it has to be looked at next. */
export class LineJobs {
  constructor(private readonly crew: Deck) {}

  private made(line: number): number {
    return this.crew.get(line, LINE.MADE);
  }

  private make(line: number, made: number, hold: number, tender: CrewMember | null): void {
    const { crew } = this;
    crew.set(line, LINE.MADE, made);
    crew.set(line, LINE.HOLD, hold);
    crew.set(line, LINE.HAUL, 0);
    crew.tender[line] = tender;
    crew.turns[line] = 0;
  }

  *pass(member: CrewMember, order: Pass): Job {
    const { crew } = this;
    const { line, how } = order;
    if (this.made(line) !== MADE.ABOARD) return crew.tellLine(line, 'not passed');
    if (order.to.tail) return yield* this.pickUp(member, order, order.to.tail);
    if (how === 'carry') return yield* this.carry(member, order);
    if (!(yield* crew.goTo(member, crew.rigging.lines[line]!.at)))
      return crew.tellLine(line, 'not passed');
    if (crew.mishaps.late > 0) {
      const { late } = crew.mishaps;
      crew.mishaps.late = 0;
      yield crew.now + late;
    }
    this.make(line, MADE.PASSING, 0, member);
    crew.tellLine(line, 'passing');
    const on = how === 'drop' ? yield* this.drop(order) : yield* this.throw(member, order);
    if (on && this.putOn(member, order)) return;
    this.make(line, MADE.ABOARD, 0, null);
    crew.tellLine(line, 'not passed');
  }

  /**
   * A ground line: its tail is hooked at the quay by the end of the boat that lies there, and walked along the deck to
   * where it is to be made on.
   */
  private *pickUp(member: CrewMember, order: Pass, tail: MarkOnPlace): Job {
    const { crew } = this;
    const { line } = order;
    const { at } = crew.rigging.lines[line]!;
    const near = this.nearestPoint(tail);
    if (!(yield* crew.goTo(member, near))) return crew.tellLine(line, 'not passed');
    const off = () => between(pointOnWater(crew.state, near.x, near.y), tail);
    const deadline = crew.now + WAITS_S;
    while (off() > HOOK_REACH_M) {
      if (crew.now >= deadline) return crew.tellLine(line, 'not passed');
      yield crew.now + LOOKS_S;
    }
    yield crew.now + DROP_S;
    this.make(line, MADE.PASSING, 0, member);
    // While it is walked along, it hangs from the hand to the quay and to the bottom.
    crew.set(line, LINE.EAST, tail.x);
    crew.set(line, LINE.NORTH, tail.y);
    crew.tellLine(line, 'picked up');
    if (member.who === null) yield crew.now + between(near, at) / WALKS_ABOARD_MPS;
    else if (!(yield* crew.goTo(member, at))) {
      this.make(line, MADE.ABOARD, 0, null);
      return crew.tellLine(line, 'not passed');
    }
    if (this.made(line) !== MADE.PASSING) return;
    if (this.putOn(member, order)) return;
    this.make(line, MADE.ABOARD, 0, null);
    crew.tellLine(line, 'not passed');
  }

  /** The named point of the boat nearest to a place now. */
  private nearestPoint(to: MarkOnPlace): PointOnBoat {
    const { state, world } = this.crew;
    const off = ({ x, y }: PointOnBoat) => between(pointOnWater(state, x, y), to);
    return world.craft.spec.points.reduce((a, b) => (off(b) < off(a) ? b : a));
  }

  /** From the fairlead to the mark in plan, m. */
  private distance({ line, to: mark }: Pass): number {
    return between(this.fairlead(line), markNow(this.crew.state, mark));
  }

  /** Where a line leaves the boat it is of, m east and north. */
  private fairlead(line: number): { readonly x: number; readonly y: number } {
    const { rigging, state, world } = this.crew;
    const { from } = rigging.lines[line]!;
    return pointOnWater(boatOf(state, world, lineAt(world, line).boat).state, from.x, from.y);
  }

  private *untilWithin(order: Pass, reach: () => number): Generator<number, boolean> {
    const deadline = this.crew.now + WAITS_S;
    while (this.distance(order) > reach()) {
      if (this.crew.now >= deadline) return false;
      yield this.crew.now + LOOKS_S;
    }
    return true;
  }

  /** A bight dropped over a pile or bollard as it comes within reach. */
  private *drop(order: Pass): Generator<number, boolean> {
    for (let i = 0; i < THROWS_TRIED; i++) {
      if (!(yield* this.untilWithin(order, () => DROP_REACH_M))) return false;
      yield this.crew.now + DROP_S;
      if (this.distance(order) <= DROP_REACH_M * 1.2 && !this.isToMiss()) return true;
      this.crew.tellLine(order.line, 'missed');
    }
    return false;
  }

  private isToMiss(): boolean {
    const { mishaps } = this.crew;
    if (mishaps.misses === 0) return false;
    mishaps.misses -= 1;
    return true;
  }

  private *throw(member: CrewMember, order: Pass): Generator<number, boolean> {
    const { crew } = this;
    const { line, to: mark } = order;
    const range = () => throwRange(member.throws, crew.windFrom(mark));
    for (let i = 0; i < THROWS_TRIED; i++) {
      if (!(yield* this.untilWithin(order, () => 0.9 * range()))) return false;
      const distance = this.distance(order);
      const catcher = crew.idleAshore(mark);
      if (!catcher && crew.rigging.crew.length > 0) return false;
      const caught = crew.random.uniform() < catchChance(distance, range()) && !this.isToMiss();
      yield crew.now + THROW_S + distance / FLIES_MPS;
      if (caught) {
        if (catcher) yield* crew.walkAshore(catcher, mark);
        yield crew.now + MAKE_ON_S;
        return true;
      }
      // Wet and heavy, hauled in and coiled again.
      crew.tellLine(line, 'missed');
      crew.set(line, LINE.MADE, MADE.TRAILING);
      crew.set(line, LINE.LENGTH, distance);
      crew.set(line, LINE.HAUL, COMES_HOME_MPS);
      yield crew.now + distance / COMES_HOME_MPS + THROW_S;
      crew.set(line, LINE.MADE, MADE.PASSING);
    }
    return false;
  }

  /** Taken from the boat by somebody ashore, or ashore by somebody who steps there with it, and carried to where it goes. */
  private *carry(member: CrewMember, order: Pass): Job {
    const { crew } = this;
    const { line, to: mark } = order;
    const handOver = () => ({ name: '', ...this.fairlead(line) });
    if (member.at?.aboard) {
      if (!(yield* crew.goTo(member, crew.rigging.lines[line]!.at)))
        return crew.tellLine(line, 'not passed');
      if (!(yield* crew.getAshore(member))) return crew.tellLine(line, 'not passed');
    } else if (member.who !== null) {
      if (!(yield* crew.walkAshore(member, handOver()))) return crew.tellLine(line, 'not passed');
      const deadline = crew.now + WAITS_S;
      while (
        !member.at ||
        member.at.aboard ||
        between(markNow(crew.state, member.at.mark), handOver()) > HAND_OVER_M
      ) {
        if (crew.now >= deadline) return crew.tellLine(line, 'not passed');
        yield crew.now + LOOKS_S;
      }
    }
    this.make(line, MADE.PASSING, 0, null);
    crew.tellLine(line, 'passing');
    yield* crew.walkAshore(member, mark);
    yield crew.now + MAKE_ON_S;
    // Its other end was made fast aboard before.
    const length = order.length ?? crew.reading(line).span + LEFT_SLACK_M;
    if (this.putOn(null, { ...order, length })) return;
    this.make(line, MADE.ABOARD, 0, null);
    crew.tellLine(line, 'not passed');
  }

  /** Its end is on; false where there is not line enough. */
  private putOn(member: CrewMember | null, { line, to: mark, length }: Pass): boolean {
    const { crew } = this;
    const { height } = crew.rigging.lines[line]!;
    const of = lineAt(crew.world, line).boat;
    // On a boat the row says how far to starboard of its midships, and how far ahead.
    crew.set(line, LINE.ON, mark.boat ? onOf(of, mark.boat) : 0);
    crew.set(line, LINE.EAST, mark.boat ? mark.y : mark.x);
    crew.set(line, LINE.NORTH, mark.boat ? mark.x : mark.y);
    // Marks stand over the place's nought; in a lock the boat floats over it.
    const { x, y } = this.fairlead(line);
    const floats = mark.boat || mark.afloat ? 0 : floatsAt(crew.world, crew.state.locks, x, y);
    crew.set(line, LINE.RISE, mark.height - height - floats);
    const { span } = crew.reading(line);
    const { total } = lineLimits(crew.world, line);
    if (span > total) return false;
    const out = length === null ? span + LEFT_SLACK_M : Math.max(length, span + LEFT_SNUG_M);
    crew.set(line, LINE.LENGTH, Math.max(SHORTEST_M, Math.min(total, out)));
    crew.tellLine(line, 'on');
    if (length === null) this.make(line, MADE.HELD, this.heldBy(line, member!.pull), member);
    else {
      this.make(line, MADE.FAST, Infinity, null);
      crew.tellLine(line, 'fast');
    }
    return true;
  }

  *tend(member: CrewMember, order: Tend): Job {
    const { crew } = this;
    const { line, how } = order;
    if (!(yield* crew.toTend(member, line))) return;
    if (!ON.has(this.made(line))) return crew.tellLine(line, 'not passed');
    switch (how) {
      case 'hold':
        this.make(line, MADE.HELD, this.heldBy(line, member.pull), member);
        return;
      case 'turn':
        yield crew.now + TURN_S;
        this.onTurns(member, line, order.turns);
        return crew.tellLine(line, 'on a turn');
      case 'keep':
        yield crew.now + TURN_S;
        this.onTurns(member, line, order.turns);
        crew.set(line, LINE.PULL, SNUG_N);
        crew.set(line, LINE.HAUL, KEEPS_SNUG_MPS);
        crew.set(line, LINE.UNTIL, SHORTEST_M);
        return crew.tellLine(line, 'kept snug');
      case 'fast':
        yield crew.now + MAKE_FAST_S;
        if (!ON.has(this.made(line))) return;
        this.make(line, MADE.FAST, Infinity, null);
        return crew.tellLine(line, 'fast');
      case 'haul':
        return yield* this.haul(member, order);
      case 'ease':
        return yield* this.ease(member, order);
    }
  }

  /** A doubled line has one end fast and one in the hand: together they carry twice what the hand holds. */
  private heldBy(line: number, hold: number): number {
    return this.crew.rigging.lines[line]!.doubled ? 2 * hold : hold;
  }

  private onTurns(member: CrewMember, line: number, turns: number): void {
    const hold = carriedOnTurns(member.pull, ROPE_FRICTION, turns);
    this.make(line, MADE.TURNED, this.heldBy(line, hold), member);
    this.crew.turns[line] = turns;
  }

  private *haul(member: CrewMember, { line, length, winch }: Tend): Job {
    const { crew } = this;
    const drum = winch ? crew.rigging.lines[line]!.winch : null;
    const geared = drum !== null;
    const pull = drum ?? member.pull;
    this.make(line, MADE.HELD, geared ? Infinity : this.heldBy(line, pull), member);
    crew.set(line, LINE.PULL, this.heldBy(line, pull));
    crew.set(line, LINE.HAUL, geared ? WINCH_MPS : HAULS_MPS);
    crew.set(line, LINE.UNTIL, length ?? SHORTEST_M);
    // To take the slack out is done when it comes taut; to a length is work for as long as it takes.
    const done = length === null ? HAULED_TAUT_SHARE * crew.get(line, LINE.PULL) : Infinity;
    const began = crew.now;
    const until = began + (length === null ? HAULS_FOR_S : HAULS_TO_LENGTH_S);
    while (
      this.made(line) === MADE.HELD &&
      crew.now < until &&
      crew.get(line, LINE.LENGTH) > crew.get(line, LINE.UNTIL) + 0.01 &&
      crew.reading(line).tension < done &&
      !(length !== null && member.wantedSince(began))
    )
      yield crew.now + LOOKS_S;
    crew.set(line, LINE.HAUL, 0);
    crew.tellLine(line, 'hauled');
  }

  private *ease(member: CrewMember, { line, length }: Tend): Job {
    const { crew } = this;
    if (this.made(line) === MADE.FAST) yield crew.now + TURN_S;
    this.onTurns(member, line, EASING_TURNS);
    const until = crew.get(line, LINE.LENGTH) + (length ?? Infinity);
    crew.set(line, LINE.HAUL, -EASES_MPS);
    crew.set(line, LINE.UNTIL, Math.min(until, lineLimits(crew.world, line).total));
    const deadline = crew.now + HAULS_FOR_S;
    while (
      this.made(line) === MADE.TURNED &&
      crew.now < deadline &&
      crew.get(line, LINE.LENGTH) < crew.get(line, LINE.UNTIL) - 0.01
    )
      yield crew.now + LOOKS_S;
    crew.set(line, LINE.HAUL, 0);
    crew.tellLine(line, 'eased');
  }

  *letGo(member: CrewMember, line: number): Job {
    const { crew } = this;
    const { doubled, at } = crew.rigging.lines[line]!;
    if (!ON.has(this.made(line))) return crew.tellLine(line, 'not let go');
    const end = { name: '', ...crew.endOf(line) };
    const aboard = member.who !== null && member.at?.aboard === true;
    if (doubled || aboard) {
      if (!(yield* crew.goTo(member, at))) return crew.tellLine(line, 'not let go');
    } else if (!(yield* crew.walkAshore(member, end))) return crew.tellLine(line, 'not let go');
    // Off its turns by whoever has its tail there, a line may pull as it likes; a loop has to be lifted.
    const tail = crew.tender[line] === member && !aboard;
    if (doubled || tail) yield crew.now + CAST_OFF_S;
    else if (!(yield* untilLifted(crew, line, aboard))) return crew.tellLine(line, 'not let go');
    if (!ON.has(this.made(line))) return;
    const { span } = crew.reading(line);
    this.make(line, MADE.TRAILING, 0, null);
    // A doubled line has to run out round what it was on.
    crew.set(line, LINE.LENGTH, doubled ? 2 * span : span);
    crew.set(line, LINE.HAUL, COMES_HOME_MPS);
    crew.tellLine(line, 'let go');
    crew.comesHome(line);
  }

  *home(line: number): Job {
    const { crew } = this;
    while (this.made(line) === MADE.TRAILING && crew.get(line, LINE.LENGTH) > 0.01)
      yield crew.now + crew.get(line, LINE.LENGTH) / COMES_HOME_MPS;
    if (this.made(line) !== MADE.TRAILING) return;
    this.make(line, MADE.ABOARD, 0, null);
    crew.tellLine(line, 'home');
  }
}
