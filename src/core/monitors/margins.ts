import type { Trace } from '../simulation';
import type { HullPart } from './hull-part';
import type { Soundings } from './soundings';
import { severity, type Touch } from './touches';

/** Where a run came nearest to something other than its own berth. */
export interface LeastClearance {
  readonly time: number;
  /** m; negative when hulls overlap in plan. */
  readonly distance: number;
  readonly name: string;
  readonly part: HullPart;
  /** Place on the water of that part of the hull, m. */
  readonly x: number;
  readonly y: number;
}

/** What a run shows at a glance. */
export interface Margins extends Soundings {
  /** Null when the place holds nothing but the berth. */
  readonly clearance: LeastClearance | null;
  /** How far the boat's deck hung over something lower than it at most, as a clearance under nought; null when it never did. */
  readonly overhang: LeastClearance | null;
  /** The line nearest to its breaking load; null when none was loaded. */
  readonly line: LineLoad | null;
  /** The worst touch, or null for none. */
  readonly touch: Touch | null;
  readonly touchCount: number;
  /** Greatest speed through the water and over ground, m/s. */
  readonly fastest: number;
  /** Speed over ground at the end, m/s. */
  readonly finalSpeed: number;
  /** Shifts of the gear into ahead or astern. */
  readonly gearShifts: number;
  /** Seconds with the gear in neutral. */
  readonly neutralSeconds: number;
}

/** The line that came nearest to its breaking load. */
export interface LineLoad {
  /** Its place among the lines. */
  readonly line: number;
  /** Greatest tension of the run, N, when, and the load it parts at, N. */
  readonly tension: number;
  readonly time: number;
  readonly breaks: number;
}

/** Greatest tension of each line, N, and when; `breaks` is the load each parts at, N. */
export function lineLoads(trace: Trace, breaks: readonly number[]): readonly LineLoad[] {
  return breaks.map((parts, line) => {
    const pulls = trace.lines[line]?.tension;
    let most = 0;
    let at = 0;
    for (let i = 0; i < (pulls?.length ?? 0); i++) {
      if (pulls![i]! <= most) continue;
      most = pulls![i]!;
      at = trace.time[i]!;
    }
    return { line, tension: most, time: at, breaks: parts };
  });
}

export function marginsOf(
  trace: Trace,
  touches: readonly Touch[],
  clearance: Pick<Margins, 'clearance' | 'overhang'> = { clearance: null, overhang: null },
  soundings: Soundings = { underKeel: null, overhead: null },
  breaks: readonly number[] = [],
): Margins {
  const { time, groundSpeed, surge, sway } = trace;
  const gear = trace.engines[0]?.gear;
  let fastest = 0;
  let gearShifts = 0;
  let neutralSeconds = 0;
  for (let i = 0; i < time.length; i++) {
    fastest = Math.max(fastest, Math.sqrt(surge[i]! * surge[i]! + sway[i]! * sway[i]!));
    if (i === 0) continue;
    if (gear && gear[i] !== gear[i - 1] && gear[i] !== 0) gearShifts += 1;
    if (!gear || gear[i] === 0) neutralSeconds += time[i]! - time[i - 1]!;
  }
  const worst = touches.reduce<Touch | null>(
    (so, touch) => (!so || severity(touch) > severity(so) ? touch : so),
    null,
  );
  return {
    ...clearance,
    ...soundings,
    line: heaviest(lineLoads(trace, breaks)),
    touch: worst,
    touchCount: touches.length,
    fastest,
    finalSpeed: groundSpeed[groundSpeed.length - 1] ?? 0,
    gearShifts,
    neutralSeconds,
  };
}

function heaviest(loads: readonly LineLoad[]): LineLoad | null {
  const loaded = loads.filter(({ tension }) => tension > 0);
  if (loaded.length === 0) return null;
  const share = ({ tension, breaks }: LineLoad) => tension / breaks;
  return loaded.reduce((a, b) => (share(b) > share(a) ? b : a));
}
