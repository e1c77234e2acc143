import type { ScaleLinear } from 'd3-scale';
import { MADE } from '@/core/holding';
import type { Take } from '@/core/score';
import type { MoreColumn } from '@/core/sim';
import type { ScoreDocument } from '@/document';
import { linesAt } from '../lines/line-at';
import { force, type Units } from '../words/units';
import type { Lane } from './lane';

const ROW_PX = 13;
const THIN_PX = 0.6;
const THICK_PX = 5;
const ON: ReadonlySet<number> = new Set([MADE.HELD, MADE.TURNED, MADE.FAST]);

/** A row of the lane: a bar while the line is on, as thick as its load is of what parts it (a fifth is full). */
function bar(
  take: Take,
  x: ScaleLinear<number, number>,
  line: number,
  middle: number,
  breaks: number,
): string {
  const made = take.trace[`made${line + 1}` as MoreColumn];
  const tension = take.trace[`tension${line + 1}` as MoreColumn];
  if (!made || !tension) return '';
  const stride = Math.max(1, Math.floor(made.length / 450));
  let path = '';
  let upper: string[] = [];
  let lower: string[] = [];
  const close = () => {
    if (upper.length > 1) path += `M${upper.join('L')}L${lower.reverse().join('L')}Z`;
    upper = [];
    lower = [];
  };
  for (let i = 0; i < made.length; i += stride) {
    if (!ON.has(made[i]!)) {
      close();
      continue;
    }
    let load = 0;
    for (let k = i; k < Math.min(made.length, i + stride); k++) load = Math.max(load, tension[k]!);
    const half = THIN_PX + THICK_PX * Math.min(1, (5 * load) / breaks);
    const at = x(take.trace.time[i]!).toFixed(1);
    upper.push(`${at},${(middle - half).toFixed(1)}`);
    lower.push(`${at},${(middle + half).toFixed(1)}`);
  }
  close();
  return path;
}

/** The lines of a score under one another, each as long as it is on and as thick as it is loaded. */
export function lineLane(
  take: Take,
  x: ScaleLinear<number, number>,
  lines: ScoreDocument['lines'],
  breaks: readonly number[],
  units: Units,
): Lane {
  // Room for the lane's name and what it reads, however few lines there are.
  const height = Math.max(27, ROW_PX * lines.length + 4);
  const middle = (i: number) => ROW_PX * i + ROW_PX / 2 + 2;
  return {
    name: 'Lines',
    height,
    top: '',
    foot: '',
    filled: true,
    path: lines.map((_, i) => bar(take, x, i, middle(i), breaks[i]!)).join(''),
    zero: null,
    rows: lines.map(({ name }, i) => ({ name, y: middle(i) + 4 })),
    read: (time) => {
      const out = linesAt(take, lines, time);
      const heaviest = out.reduce<(typeof out)[number] | null>(
        (so, line) => (line.tension > (so?.tension ?? 20) ? line : so),
        null,
      );
      if (heaviest) return force(heaviest.tension, units);
      return out.length > 0 ? 'slack' : 'none on';
    },
  };
}
