import { AT_HAND_M } from '../policy';
import type { PointOnBoat } from './references';
import { type Whereabouts } from './rigging';

/** A job in hand: gives the moment it next has to be looked at, until it is done. */
export type Job = Generator<number, void>;

/** Somebody with jobs, done one after another; `who` is null for whoever is at hand. */
export class CrewMember {
  private readonly queue: Job[] = [];
  private job: Job | null = null;
  /** When the job in hand has to be looked at; Infinity with nothing to do. */
  wakes = Infinity;
  walking = false;
  /** When something was last asked of them. */
  private asked = -Infinity;

  constructor(
    readonly who: number | null,
    public at: Whereabouts | null,
    readonly pull: number,
    readonly throws: number,
  ) {}

  get idle(): boolean {
    return this.job === null && this.queue.length === 0;
  }

  give(job: Job, now: number): void {
    this.queue.push(job);
    this.asked = now;
    if (this.job === null) this.wakes = now;
  }

  /** Has something else been asked of them since a moment? What is work without end is then left. */
  wantedSince(time: number): boolean {
    return this.queue.length > 0 && this.asked > time + 1e-6;
  }

  /** Goes on with what is due; tells whether there was anything. */
  act(now: number): boolean {
    if (this.wakes > now) return false;
    while (this.wakes <= now) {
      this.job ??= this.queue.shift() ?? null;
      if (!this.job) {
        this.wakes = Infinity;
        break;
      }
      const step = this.job.next();
      if (step.done) this.job = null;
      else this.wakes = Math.max(step.value, now + 1e-6);
    }
    return true;
  }

  /** Reaches a place aboard without a step. */
  reaches(point: PointOnBoat): boolean {
    if (this.who === null) return true;
    return (
      !this.walking &&
      this.at !== null &&
      this.at.aboard &&
      between(this.at.point, point) <= AT_HAND_M
    );
  }
}

export function between(
  a: { readonly x: number; readonly y: number },
  b: { readonly x: number; readonly y: number },
): number {
  return Math.sqrt((a.x - b.x) * (a.x - b.x) + (a.y - b.y) * (a.y - b.y));
}

/** Distance of (x, y) from the straight line between two places, m. */
export function offSegment(
  a: { readonly x: number; readonly y: number },
  b: { readonly x: number; readonly y: number },
  x: number,
  y: number,
): number {
  const ex = b.x - a.x;
  const ey = b.y - a.y;
  const length2 = ex * ex + ey * ey;
  const share = length2 > 0 ? ((x - a.x) * ex + (y - a.y) * ey) / length2 : 0;
  const s = Math.max(0, Math.min(1, share));
  return between({ x: a.x + s * ex, y: a.y + s * ey }, { x, y });
}
