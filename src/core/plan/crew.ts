import type { IsAboard } from './cues';
import { carriedOnTurns, LINE, LINE_COLUMNS, MADE } from '../holding';
import { cos, Random, sin } from '../math';
import {
  ANCHOR_DRAGS_M,
  ANY_PULL_N,
  ANY_THROW_M,
  WALKS_ABOARD_MPS,
  ROPE_FRICTION,
  LYING_N,
  AT_HAND_M,
  WALKS_ASHORE_MPS,
} from '../policy';
import {
  lineAt,
  lineColumn,
  lineEnd,
  lineNow,
  pointOnWater,
  setLineColumn,
  windAt,
  type LineAt,
  type SimState,
  type World,
} from '../simulation';
import type { CrewEvent, LineEvent, LockEvent } from './event-names';
import type { RunEvent } from './events';
import { Fouling } from './fouling';
import { markNow } from './marks';
import { between, CrewMember, type Job } from './crew-member';
import { footway } from './on-foot';
import type { Deck } from './deck';
import { LineJobs, ON } from './line-jobs';
import { getAshore, type Rails } from './stepping';
import type { CrewAt } from './crew-at';
import { type Rigging } from './rigging';
import { ORDERS, type CrewOrder } from './orders';
import type { MarkOnPlace, PointOnBoat } from './references';

/**
 * The people of a manoeuvre and what they do with lines, in their own time: they walk, wait for a reach, throw and
 * miss, haul, turn up and let go. Jobs move on only when `act` is called at a moment `next` has named, so a run is the
 * same every time.
 */
export class Crew implements Deck, Rails {
  readonly people: readonly CrewMember[];
  readonly random: Random;
  /** Whoever is at hand, one for each line. */
  private readonly anybody: readonly CrewMember[];
  /** Whoever works a lock when nobody of the crew is told to. */
  private readonly keeper = new CrewMember(null, null, ANY_PULL_N, ANY_THROW_M);
  readonly jobs: LineJobs;
  /** Who holds each line. */
  readonly tender: (CrewMember | null)[];
  /** How many turns each line was last put on. */
  readonly turns: number[];
  private readonly hasHelm: boolean;
  private readonly fouling: Fouling;
  private readonly where: readonly LineAt[];
  inDanger = false;
  readonly mishaps = { late: 0, misses: 0 };
  fouled = false;

  constructor(
    readonly rigging: Rigging,
    readonly state: SimState,
    readonly world: World,
    private readonly events: RunEvent[],
  ) {
    const { crew, lines, helm } = rigging;
    this.people = crew.map(({ at, pull, throws }, i) => new CrewMember(i, at, pull, throws));
    this.anybody = lines.map(() => new CrewMember(null, null, ANY_PULL_N, ANY_THROW_M));
    this.tender = lines.map(() => null);
    this.turns = lines.map(() => 0);
    this.where = lines.map((_, line) => lineAt(world, line));
    this.fouling = new Fouling(rigging.lines, world);
    this.random = new Random(rigging.seed);
    this.jobs = new LineJobs(this);
    this.hasHelm = helm !== null && this.people.some((member) => member.reaches(helm));
  }

  get now(): number {
    return this.state.time;
  }

  /** What is fast and who is where as it begins. */
  tellStart(): void {
    this.rigging.lines.forEach((_, line) => {
      if (this.get(line, LINE.MADE) === MADE.FAST) this.tellLine(line, 'fast');
    });
    for (const member of this.people) this.tellCrew(member, 'at');
  }

  /** The next moment somebody has to look at what they do, s. */
  next(): number {
    let least = Infinity;
    for (const member of this.people) least = Math.min(least, member.wakes);
    for (const member of this.anybody) least = Math.min(least, member.wakes);
    return Math.min(least, this.keeper.wakes);
  }

  /** Everybody goes on with what is due; tells whether anything was. */
  act(): boolean {
    const now = this.now + 1e-9;
    let acted = false;
    for (const member of this.people) {
      acted = member.act(now) || acted;
      if (member.idle) this.backToHelm(member);
    }
    for (const member of this.anybody) acted = member.act(now) || acted;
    return this.keeper.act(now) || acted;
  }

  give(order: CrewOrder): void {
    const { atHand, job } = ORDERS[order.do];
    const member =
      order.by !== null
        ? this.people[order.by]!
        : atHand === 'keeper'
          ? this.keeper
          : this.anybody[lineOf(order)]!;
    member.give(
      (job as (crew: CrewAt, member: CrewMember, order: CrewOrder) => Job)(this, member, order),
      this.now,
    );
  }

  /** Is somebody at the helm? Yes where nobody was put there to begin with. */
  helmManned(): boolean {
    const { helm } = this.rigging;
    return !this.hasHelm || helm === null || this.people.some((member) => member.reaches(helm));
  }

  /** Whoever stood at the helm goes back when there is nothing else to do. */
  private backToHelm(member: CrewMember): void {
    const { helm, crew } = this.rigging;
    if (!helm || !this.hasHelm || !member.at?.aboard || member.reaches(helm)) return;
    const home = crew[member.who!]!.at;
    if (!home.aboard || between(home.point, helm) > 1e-6) return;
    if (this.tender.includes(member)) return;
    member.give(this.goes(member, helm), this.now);
  }

  *goes(member: CrewMember, point: PointOnBoat): Job {
    yield* this.goTo(member, point);
  }

  /** Walks to a place aboard; not there for somebody who is ashore. */
  *goTo(member: CrewMember, point: PointOnBoat): Generator<number, boolean> {
    if (member.reaches(point)) return true;
    const { at } = member;
    if (!at?.aboard) {
      this.tellCrew(member, 'not there');
      return false;
    }
    const manned = this.helmManned();
    member.walking = true;
    this.leave(member, point);
    if (manned && !this.helmManned()) this.tellCrew(member, 'helm left');
    yield this.now + between(at.point, point) / WALKS_ABOARD_MPS;
    member.walking = false;
    member.at = { aboard: true, point };
    this.tellCrew(member, 'at');
    if (!manned && this.helmManned()) this.tellCrew(member, 'helm manned');
    return true;
  }

  /** A line held in the hand or on a turn is left to itself by whoever walks away from it. */
  leave(member: CrewMember, to: PointOnBoat): void {
    this.tender.forEach((holder, line) => {
      if (holder !== member || between(this.rigging.lines[line]!.at, to) < 0.5) return;
      this.tender[line] = null;
      this.set(line, LINE.HOLD, 0);
      this.tellLine(line, 'left');
    });
  }

  readonly getAshore = (member: CrewMember) => getAshore(this, member);

  /** Somebody ashore who tends a line goes to something else: on turns its tail lies there and holds a little, off them nothing does. */
  tailLies(member: CrewMember, to: { readonly x: number; readonly y: number }): void {
    this.tender.forEach((holder, line) => {
      if (holder !== member || member.at?.aboard !== false) return;
      if (between(this.endOf(line), to) < AT_HAND_M) return;
      const turns = this.turns[line]!;
      this.set(line, LINE.HAUL, 0);
      this.set(line, LINE.HOLD, turns > 0 ? carriedOnTurns(LYING_N, ROPE_FRICTION, turns) : 0);
      if (turns > 0) return;
      this.tender[line] = null;
      this.tellLine(line, 'left');
    });
  }

  *walkAshore(member: CrewMember, mark: MarkOnPlace): Generator<number, boolean> {
    if (member.who === null) return true;
    const { at } = member;
    if (!at || at.aboard) {
      this.tellCrew(member, 'not there');
      return false;
    }
    const way = footway(
      this.world,
      this.state,
      markNow(this.state, at.mark),
      markNow(this.state, mark),
    );
    if (way === null) {
      this.tellCrew(member, 'no way across');
      return false;
    }
    this.tailLies(member, markNow(this.state, mark));
    yield this.now + way / WALKS_ASHORE_MPS;
    member.at = { aboard: false, mark };
    this.tellCrew(member, 'at');
    return true;
  }

  /** Walks to where a line is tended: aboard, or to its other end by somebody ashore who has its tail; not of a doubled one. */
  *toTend(member: CrewMember, line: number): Generator<number, boolean> {
    const { at, doubled } = this.rigging.lines[line]!;
    if (member.at?.aboard !== false || doubled || !ON.has(this.get(line, LINE.MADE)))
      return yield* this.goTo(member, at);
    return yield* this.walkAshore(member, { name: '', ...this.endOf(line) });
  }

  /** Is somebody of the crew aboard? Null where they are not known of. */
  readonly isAboard: IsAboard = (who) => this.people[who]?.at?.aboard ?? null;

  /** Somebody ashore with nothing to do, nearest to a mark. */
  idleAshore(mark: MarkOnPlace): CrewMember | null {
    let best: CrewMember | null = null;
    let least = Infinity;
    for (const member of this.people) {
      if (!member.idle || !member.at || member.at.aboard) continue;
      const far = between(markNow(this.state, member.at.mark), markNow(this.state, mark));
      if (far < least) {
        best = member;
        least = far;
      }
    }
    return best;
  }

  /** Whoever is at hand for a line hauls it home. */
  comesHome(line: number): void {
    this.anybody[line]!.give(this.jobs.home(line), this.now);
  }

  get(line: number, column: number): number {
    return lineColumn(this.state, this.world, line, column);
  }
  set(line: number, column: number, value: number): void {
    setLineColumn(this.state, this.world, line, column, value);
  }
  reading(line: number): { readonly tension: number; readonly span: number } {
    return lineNow(this.state, this.world, line);
  }

  /** Wind blowing from a mark to the boat, m/s. */
  windFrom(at: MarkOnPlace): number {
    const mark = markNow(this.state, at);
    const { x, y } = pointOnWater(this.state, 0, 0);
    const far = Math.max(1e-6, between(mark, { x, y }));
    const wind = new Float64Array(2);
    windAt(wind, this.world.environment, this.now);
    const from = wind[0]!;
    return (-wind[1]! * (sin(from) * (x - mark.x) + cos(from) * (y - mark.y))) / far;
  }

  /** Sees after each step what the lines have come to: parted, brought up, or in a propeller. */
  look(before: SimState): void {
    const { lines } = this.rigging;
    for (let i = 0; i < lines.length; i++) {
      const { boat, row } = this.where[i]!;
      const at = row * LINE_COLUMNS + LINE.MADE;
      const made = boat === 0 ? this.state.lines[at]! : this.get(i, LINE.MADE);
      const was = boat === 0 ? before.lines[at]! : lineColumn(before, this.world, i, LINE.MADE);
      if (made !== was && made === MADE.PARTED) this.tellLine(i, 'parted');
      if (lines[i]!.anchor) this.lookAtAnchor(i, before);
      if (made !== was && was !== MADE.FAST && made === MADE.FAST) this.tellLine(i, 'brought up');
    }
    const caught = this.fouled ? -1 : this.fouling.caught(this.state);
    if (caught < 0) return;
    this.fouled = true;
    this.tellLine(caught, 'in the propeller');
  }

  private lookAtAnchor(line: number, before: SimState): void {
    const dragged = lineColumn(before, this.world, line, LINE.DRAGGED);
    if (dragged < ANCHOR_DRAGS_M && this.get(line, LINE.DRAGGED) >= ANCHOR_DRAGS_M)
      this.tellLine(line, 'drags');
  }

  endOf(line: number): { readonly x: number; readonly y: number } {
    return lineEnd(this.state, this.world, line);
  }

  tellLine(line: number, what: LineEvent): void {
    this.fouling.walks(line, what === 'picked up');
    this.events.push({ time: this.now, is: 'line', line, what, ...this.endOf(line) });
  }

  tellLock(lock: number, what: LockEvent, who: number | null): void {
    this.events.push({ time: this.now, is: 'lock', lock, what, who });
  }

  tellCrew(member: CrewMember, what: CrewEvent): void {
    if (member.who === null || !member.at) return;
    const { at } = member;
    const { x, y } = at.aboard ? at.point : markNow(this.state, at.mark);
    this.events.push({
      time: this.now,
      is: 'crew',
      who: member.who,
      what,
      aboard: at.aboard,
      x,
      y,
    });
  }
}

function lineOf(order: CrewOrder): number {
  return 'line' in order ? order.line : 0;
}
