import type { ScaleLinear } from 'd3-scale';
import simplify from 'simplify-js';
import { MADE } from '@/core/holding';
import type { Run } from '@/core/plan';
import type { PlanDocument } from '@/document';
import { linesAt } from '../lines/line-at';
import { force, type Units } from '../words/units';
import type { Lane } from './lane';

const ROW_PX = 13;
const THIN_PX = 0.6;
const THICK_PX = 5;
/** Pixels the bar's edge may be off where samples are left out. */
const OFF_PX = 0.2;
const ON: ReadonlySet<number> = new Set([MADE.HELD, MADE.TURNED, MADE.FAST]);

/** A row of the lane: a bar while the line is on, as thick as its load is of what parts it (a fifth is full). */
function bar(
  run: Run,
  x: ScaleLinear<number, number>,
  line: number,
  middle: number,
  breaks: number,
): string {
  const columns = run.trace.lines[line];
  if (!columns) return '';
  const { made, tension } = columns;
  const stride = Math.max(1, Math.floor(made.length / 450));
  let path = '';
  let upper: { x: number; y: number }[] = [];
  const close = () => {
    const thinned = simplify(upper, OFF_PX);
    const edge = (side: number) =>
      thinned.map((p) => `${p.x.toFixed(1)},${(middle + side * p.y).toFixed(1)}`);
    if (thinned.length > 1) path += `M${edge(-1).join('L')}L${edge(1).reverse().join('L')}Z`;
    upper = [];
  };
  for (let i = 0; i < made.length; i += stride) {
    if (!ON.has(made[i]!)) {
      close();
      continue;
    }
    let load = 0;
    for (let k = i; k < Math.min(made.length, i + stride); k++) load = Math.max(load, tension[k]!);
    const half = THIN_PX + THICK_PX * Math.min(1, (5 * load) / breaks);
    upper.push({ x: x(run.trace.time[i]!), y: half });
  }
  close();
  return path;
}

/** "W. bow" for Wicket's bow line, "W. bow spr" for its spring: the whole of it leaves no room for which of its lines it is. */
function shortName({ name, of }: PlanDocument['lines'][number]): string {
  const own = `${of}'s `;
  return of !== undefined && name.startsWith(own)
    ? `${of[0]}. ${name
        .slice(own.length)
        .replace(/ line$/, '')
        .replace(/ spring$/, ' spr')}`
    : name;
}

/** The lines of a plan under one another, each as long as it is on and as thick as it is loaded. */
export function lineLane(
  run: Run,
  x: ScaleLinear<number, number>,
  lines: PlanDocument['lines'],
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
    path: lines.map((_, i) => bar(run, x, i, middle(i), breaks[i]!)).join(''),
    zero: null,
    rows: lines.map((line, i) => ({ name: shortName(line), y: middle(i) + 4 })),
    read: (time) => {
      const out = linesAt(run, lines, time);
      const heaviest = out.reduce<(typeof out)[number] | null>(
        (so, line) => (line.tension > (so?.tension ?? 20) ? line : so),
        null,
      );
      if (heaviest) return force(heaviest.tension, units);
      return out.length > 0 ? 'slack' : 'none on';
    },
  };
}
