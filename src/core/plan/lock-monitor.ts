import { LINE, MADE } from '../holding';
import { roomUnderNow } from '../monitors';
import { bedOfLock, overCill, risesBy, timeLeft, weightOf } from '../locks';
import { cos, sin } from '../math';
import {
  LINE_STEEPER_M,
  LINE_LOADS_SHARE,
  LINE_HANGS_SHARE,
  LINE_HANGS_WEIGHT,
  LINE_LOADS_WEIGHT,
  CHAMBER_FALLS_M3PS,
  ON_CILL_M,
  MORE_WATER,
  SOONER_S,
  SOONER_SHARE,
} from '../policy';
import {
  boatOf,
  lineAt,
  lineColumn,
  lineLimits,
  lineNow,
  lyingIn,
  PSI,
  X,
  Y,
  type SimState,
  type Simulation,
  type World,
} from '../simulation';
import type { Crew } from './crew';
import type { LockEvent } from './event-names';
import type { RunEvent } from './events';
import { LockGrip, type Grip, type Gripped } from './lock-grip';

/** When something is to come, as it was told, s, and the water that ran as it was reckoned, m³/s. */
interface ToldDue {
  readonly at: number;
  flow: number;
}

/** Is a moment so much sooner than the one that was told? */
const sooner = (at: number, told: number, now: number): boolean =>
  told === Infinity ? at < Infinity : at < told - Math.max(SOONER_S, SOONER_SHARE * (told - now));

const ALL: readonly Grip[] = ['wedged', 'on a gate', 'under the coping'];
const CILL_FIRST: readonly Grip[] = ['wedged', 'under the coping'];

/** What a grip is called once the boat hangs. */
const HANGS = {
  wedged: 'hangs wedged',
  'on a gate': 'caught on a gate',
  'under the coping': 'caught under the coping',
} as const;

/** Sees what goes wrong for a boat in a chamber: hung on the cill, on a line made fast, between its walls, on a gate. Looks at every sample. */
export class LockMonitor {
  private readonly riseWhenFast = new Map<number, number>();
  private readonly told = new Set<string>();
  private readonly due = new Map<string, ToldDue>();
  hung = false;
  private readonly grip: LockGrip;

  constructor(
    private readonly world: World,
    private readonly crew: Crew,
    private readonly events: RunEvent[],
  ) {
    this.grip = new LockGrip(world);
  }

  /** @param underKeel water under the boat now, m */
  observe(at: Simulation, underKeel: number): void {
    const { gates, craft } = this.world;
    if (!gates) return;
    const { state } = at;
    gates.locks.forEach((sited, lock) => {
      const now = state.locks[lock]!;
      if (now.chamber > sited.coping && this.first(`coping ${lock}`)) {
        this.tell(state, lock, 'over the coping');
        this.crew.inDanger = true;
      }
      const boat = lyingIn(sited, state.motion, craft);
      if (!boat) return;
      const over = overCill(sited.lock, now, boat);
      const falls = now.gates.upper === 0 && now.flowOut > now.flowIn + CHAMBER_FALLS_M3PS;
      // Deeper than the cill the boat is not over it, but against its face, or on it already.
      if (!over || over.water < -ON_CILL_M) this.due.delete('cill');
      else if (falls)
        this.tellLeft(state, lock, 'cill', ['over the cill', 'hangs sooner'], now.flowOut, () => {
          const left = timeLeft(sited.lock, now, boat);
          return left ? left.seconds : null;
        });
      if (over && underKeel < -ON_CILL_M && this.isOnCill(state, lock)) {
        this.hung = true;
        if (this.first('on the cill')) this.tell(state, lock, 'on the cill');
      }
      this.lookAtLines(state, falls);
      // Over the cill it is the cill that gets the boat, and is told of, before any beam of the gates over it does.
      const kinds = over && falls ? CILL_FIRST : ALL;
      const { lip } = sited;
      const stones = lip ? { under: sited.coping - lip.thick } : null;
      this.lookAtGrip(state, lock, this.grip.look(at, now.chamber, stones), kinds);
      if (this.grip.fenderUnder && this.first('fender'))
        this.tell(state, lock, 'fender under the coping');
      this.lookAtBridges(state, lock);
    });
  }

  /** A bridge over the chamber that the boat rises to, with the time left while the paddles stay as they are. */
  private lookAtBridges(state: SimState, lock: number): void {
    const now = state.locks[lock]!;
    const rises = now.flowIn > now.flowOut + CHAMBER_FALLS_M3PS;
    for (const bridge of this.world.bridges ?? []) {
      const room = roomUnderNow(state, this.world, bridge);
      const key = `bridge ${bridge.name}`;
      if (room === null || !rises) this.due.delete(key);
      else if (room >= 0 && room < now.upper - now.chamber) {
        const kinds = ['rises to a bridge', 'caught sooner'] as const;
        const { lock: chamber } = this.world.gates!.locks[lock]!;
        this.tellLeft(state, lock, key, kinds, now.flowIn, () => risesBy(chamber, now, room));
      }
    }
  }

  /** Tells how long there is, and again where more water than was reckoned with makes it less. */
  private tellLeft(
    state: SimState,
    lock: number,
    key: string,
    [first, again]: readonly [LockEvent, LockEvent],
    flow: number,
    reckon: () => number | null,
  ): void {
    const told = this.due.get(key);
    const stands = told && state.time <= told.at;
    if (stands && flow < MORE_WATER * told.flow) return;
    const seconds = reckon();
    const at = seconds === null ? Infinity : state.time + seconds;
    if (stands && !sooner(at, told.at, state.time)) {
      told.flow = flow;
      return;
    }
    // What was told has just come about, or is about to: no news.
    const comes = told && !stands && seconds !== null && seconds < SOONER_S;
    this.due.set(key, { at: comes ? state.time + SOONER_S : at, flow });
    if (comes) return;
    this.tell(state, lock, stands ? again : first, seconds ?? undefined);
  }

  /** Wedged, or an end on a gate: warned of, come free, or hung. */
  private lookAtGrip(
    state: SimState,
    lock: number,
    gripped: readonly Gripped[],
    kinds: readonly Grip[],
  ): void {
    for (const grip of kinds) {
      const found = gripped.find((one) => one.grip === grip);
      if (!found) {
        if (this.told.delete(grip) && !this.told.has(HANGS[grip]))
          this.tell(state, lock, 'free again');
        continue;
      }
      if (found.hangs) {
        this.hung = true;
        if (this.first(HANGS[grip])) this.tell(state, lock, HANGS[grip]);
      } else if (found.seconds !== null && this.first(grip))
        this.tell(state, lock, grip, found.seconds);
    }
  }

  private isOnCill(state: SimState, lock: number): boolean {
    const sited = this.world.gates!.locks[lock]!;
    const { deck } = this.world.craft.spec.hull;
    const { motion } = state;
    const s = sin(motion[PSI]!);
    const c = cos(motion[PSI]!);
    for (let i = 0; i < deck.length; i += 2) {
      const east = motion[X]! + deck[i]! * s + deck[i + 1]! * c;
      const north = motion[Y]! + deck[i]! * c - deck[i + 1]! * s;
      if (bedOfLock(sited, east, north) === sited.lock.upperCill) return true;
    }
    return false;
  }

  /**
   * A line made fast in a chamber that falls: told as it begins to, and nobody is safe once it has fallen, however slack the line
   * was left; it takes the boat's weight in the end, and it hangs or it parts.
   */
  private lookAtLines(state: SimState, falls: boolean): void {
    const { lines } = this.crew.rigging;
    for (let i = 0; i < lines.length; i++) {
      const fast = lineColumn(state, this.world, i, LINE.MADE) === MADE.FAST;
      if (!fast || lineColumn(state, this.world, i, LINE.ON) !== 0) {
        // Made fast again in the next chamber it is told of again.
        if (this.riseWhenFast.delete(i)) this.told.delete(`fast ${i}`);
        continue;
      }
      const rise = lineColumn(state, this.world, i, LINE.RISE);
      const from = this.riseWhenFast.get(i) ?? rise;
      this.riseWhenFast.set(i, Math.min(from, rise));
      if (falls && this.first(`fast ${i}`)) this.crew.tellLine(i, 'fast as it falls');
      if (rise < from + LINE_STEEPER_M) continue;
      if (this.first(`too long ${i}`)) {
        this.crew.tellLine(i, 'fast too long');
        this.crew.inDanger = true;
      }
      const { tension } = lineNow(state, this.world, i);
      const { breaks } = lineLimits(this.world, i);
      const { world } = boatOf(state, this.world, lineAt(this.world, i).boat);
      const weight = weightOf(world.craft.spec.hull.mass);
      if (
        tension > Math.min(LINE_LOADS_SHARE * breaks, LINE_LOADS_WEIGHT * weight) &&
        this.first(`loads ${i}`)
      )
        this.crew.tellLine(i, 'loads up');
      if (
        tension > Math.min(LINE_HANGS_SHARE * breaks, LINE_HANGS_WEIGHT * weight) &&
        this.first(`hangs ${i}`)
      )
        this.crew.tellLine(i, 'hangs her');
    }
  }

  private first(what: string): boolean {
    if (this.told.has(what)) return false;
    this.told.add(what);
    return true;
  }

  private tell(state: SimState, lock: number, what: LockEvent, seconds?: number): void {
    const left = seconds === undefined ? {} : { seconds };
    this.events.push({ time: state.time, is: 'lock', lock, what, who: null, ...left });
  }
}
