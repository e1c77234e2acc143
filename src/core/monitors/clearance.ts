import { noClearance } from '../holding';
import type { Simulation, World } from '../simulation';
import { described, Lookout, numbersOf } from './lookout';
import type { LeastClearance, Margins } from './margins';
import type { Monitor } from './monitor';

const NONE: ReadonlySet<number> = new Set();

/** Watches how near the boat comes to anything but its own berth, and how far its deck hangs over what is lower. */
export class ClearanceMonitor implements Monitor<Pick<Margins, 'clearance' | 'overhang'>> {
  private readonly now = noClearance();
  private readonly over = noClearance();
  private readonly lookout: Lookout;
  private readonly berth: ReadonlySet<number>;
  private clearance: LeastClearance | null = null;
  private overhang: LeastClearance | null = null;

  /** @param berth ids of what is left out */
  constructor(
    private readonly world: World,
    berth: ReadonlySet<string>,
  ) {
    this.lookout = new Lookout(world);
    this.berth = numbersOf(world, berth);
  }

  observe(now: Simulation): void {
    this.look(now);
    this.clearance = this.nearer(this.clearance, this.now, now) ?? this.clearance;
    this.lookout.lookOver(this.over, now);
    if (this.over.distance < 0)
      this.overhang = this.nearer(this.overhang, this.over, now) ?? this.overhang;
  }

  private look(now: Simulation): void {
    this.lookout.look(this.now, now, this.berth);
  }

  /** Clearance at the last sample, m; Infinity with nothing about. */
  get distance(): number {
    return this.now.distance;
  }

  /** What the boat is nearest to at the last sample; null with nothing about. */
  nearest(now: Simulation): LeastClearance | null {
    return this.nearer(null, this.now, now);
  }

  /** Clearance from anything, the berth as well, m. */
  fromAll(now: Simulation): number {
    this.lookout.look(this.now, now, NONE);
    return this.now.distance;
  }

  /** What was found, described, if it is nearer than what was nearest so far; null if not. */
  private nearer(
    so: LeastClearance | null,
    found: typeof this.now,
    { state }: Simulation,
  ): LeastClearance | null {
    if (found.obstacle < 0 || (so && so.distance <= found.distance)) return null;
    return described(found, state, this.world);
  }

  result(): Pick<Margins, 'clearance' | 'overhang'> {
    return { clearance: this.clearance, overhang: this.overhang };
  }
}
