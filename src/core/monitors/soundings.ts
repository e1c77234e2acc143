import { KEEL, KEEL_COLUMNS } from '../boat';
import { lineCrosses, nearestOnPolygon } from '../math';
import {
  pointOnWater,
  sounded,
  standsAt,
  UNDER,
  type Bridge,
  type SimState,
  type Simulation,
  type World,
} from '../simulation';
import { hullPart, type HullPart } from './hull-part';
import type { Monitor } from './monitor';

/** Least water under the boat, m: negative where it is aground. */
export interface LeastUnder {
  readonly time: number;
  readonly depth: number;
  readonly part: HullPart;
  readonly x: number;
  readonly y: number;
}

/** Least room over the boat's highest point while any of it was under a bridge, m: negative where it does not fit. */
export interface LeastOver {
  readonly time: number;
  readonly room: number;
  readonly name: string;
}

/** Least water under the boat, null where nothing is known of the depth; least room over it under a bridge, null when it passed under none. */
export interface Soundings {
  readonly underKeel: LeastUnder | null;
  readonly overhead: LeastOver | null;
}

/** Looks down and up as the boat goes: water under it, and what it passes under. */
export class SoundingMonitor implements Monitor<Soundings> {
  private readonly known: boolean;
  private under: LeastUnder | null = null;
  private over: LeastOver | null = null;
  /** Water under the boat now, m; infinite where nothing is known of it. */
  now = Infinity;

  constructor(private readonly world: World) {
    this.known = sounded(world.environment) || world.gates !== undefined;
  }

  observe(now: Simulation): void {
    if (this.known) this.lookDown(now);
    for (const bridge of this.world.bridges ?? []) this.lookUp(now.state, bridge);
  }

  /** Has the boat gone under what is too low for it? */
  get isCaught(): boolean {
    return this.over !== null && this.over.room < 0;
  }

  /** Has the boat taken the ground? */
  get tookGround(): boolean {
    return this.under !== null && this.under.depth < 0;
  }

  result(): Soundings {
    return { underKeel: this.under, overhead: this.over };
  }

  private lookDown(now: Simulation): void {
    const { state } = now;
    const under = now.sound();
    this.now = under[UNDER.LEAST]!;
    if (this.under && this.under.depth <= this.now) return;
    const { keel, spec } = this.world.craft;
    const k = under[UNDER.AT]! * KEEL_COLUMNS;
    const [x, y] = [keel[k + KEEL.X]!, keel[k + KEEL.Y]!];
    this.under = {
      time: state.time,
      depth: this.now,
      part: hullPart(x, y, spec.hull.length, spec.hull.beam),
      ...pointOnWater(state, x, y),
    };
  }

  private lookUp(state: SimState, bridge: Bridge): void {
    const room = roomBelow(state, this.world, bridge);
    if (this.over && this.over.room <= room) return;
    if (isUnder(state, this.world, bridge))
      this.over = { time: state.time, room, name: bridge.name };
  }
}

/** Room between a bridge and the boat's highest point if it were under it now, m. */
function roomBelow(state: SimState, { environment, craft, gates }: World, bridge: Bridge): number {
  const { x, y } = pointOnWater(state, 0, 0);
  // The boat floats on the water under its middle: above a lock that is the pound's.
  const locks = gates ? { locks: gates.locks, states: state.locks } : null;
  const level = standsAt(environment, x, y, state.time, locks);
  return bridge.clearance - level - (craft.spec.hull.airDraught ?? 0);
}

/** Room over the boat's highest point under a bridge now, m; null while none of it is under it. */
export const roomUnderNow = (state: SimState, world: World, bridge: Bridge): number | null =>
  isUnder(state, world, bridge) ? roomBelow(state, world, bridge) : null;

/** The bridge the boat is caught under now, by name; null where it is under none that is too low. */
export function caughtUnder(state: SimState, world: World): string | null {
  for (const bridge of world.bridges ?? [])
    if (roomBelow(state, world, bridge) < 0 && isUnder(state, world, bridge)) return bridge.name;
  return null;
}

/** Is any of the boat's deck under a bridge? Its highest point counts wherever on its it stands. */
function isUnder(state: SimState, { craft }: World, { outline }: Bridge): boolean {
  const near = { x: 0, y: 0, distance: 0 };
  const { deck, length } = craft.spec.hull;
  const middle = pointOnWater(state, 0, 0);
  nearestOnPolygon(near, outline, middle.x, middle.y);
  if (near.distance > length) return false;
  let before = pointOnWater(state, deck[deck.length - 2]!, deck[deck.length - 1]!);
  for (let i = 0; i < deck.length; i += 2) {
    const corner = pointOnWater(state, deck[i]!, deck[i + 1]!);
    nearestOnPolygon(near, outline, corner.x, corner.y);
    if (near.distance < 0) return true;
    if (lineCrosses(outline, before.x, before.y, corner.x, corner.y)) return true;
    before = corner;
  }
  return false;
}
