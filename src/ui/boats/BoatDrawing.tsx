'use client';
import type { Pivots } from '@/core/trials';
import { draughtAt } from '@/core/boat';
import type { Boat } from '@/document';
import { usePreferences } from '../state/preferences';
import { lengthIn } from '../words/units';
import { bodyPath, planPath, plate, topsidesPath, waterlinePaths } from './outline';

const WIDTH = 640;
const PAD = 26;

/** Depth of the body at x, m. */
function bodyDepth(boat: Boat, x: number): number {
  return draughtAt(Float64Array.from(boat.hull.draughts.flat()), x);
}

/**
 * Plan and profile to one scale, bow to the right: deck and waterline, keels, rudders, drives, thrusters, and where
 * the boat pivots.
 */
export function BoatDrawing({ boat, pivots }: { boat: Boat; pivots: Pivots | null }) {
  const unit = usePreferences((p) => p.length);
  const { hull } = boat;
  const high = Math.max(hull.mast_m, hull.freeboard_m * 1.2 + hull.superstructure_m) + 0.1;
  // A tall mast is cut: it would make the hull small.
  const shown = Math.min(high, 0.42 * hull.length_m);
  const scale = (WIDTH - 2 * PAD) / (hull.length_m * 1.04);
  const profile = (shown + hull.draught_m) * scale;
  const plan = hull.beam_m * scale;
  const waterY = PAD + shown * scale;
  const planY = PAD + profile + 34 + plan / 2;
  const height = planY + plan / 2 + 40;
  const middle = WIDTH / 2;
  const house = 0.45 * hull.length_m;
  const figure = (metres: number) =>
    `${lengthIn(metres, unit).toFixed(metres < 10 && unit === 'm' ? 2 : 1)} ${unit}`;
  const stroke = { vectorEffect: 'non-scaling-stroke' as const };
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="w-full"
      role="img"
      aria-label={`${boat.name}, profile and plan, ${figure(hull.length_m)} by ${figure(hull.beam_m)}`}
    >
      <g transform={`translate(${middle} ${waterY}) scale(${scale})`}>
        <path d={bodyPath(boat)} className="fill-water stroke-ink" strokeWidth={1} {...stroke} />
        {boat.fins.map((fin) => {
          const span = Math.max(0.05, hull.draught_m - bodyDepth(boat, fin.x_m));
          const p = plate(fin.area_m2, span, fin.x_m, bodyDepth(boat, fin.x_m));
          return (
            <rect
              key={fin.name}
              {...p}
              className="fill-water stroke-ink"
              strokeWidth={1}
              {...stroke}
            />
          );
        })}
        {boat.rudders.map((r) => (
          <rect
            key={r.name}
            {...plate(r.area_m2, r.span_m, r.x_m, Math.max(0.05, bodyDepth(boat, r.x_m)))}
            className="fill-plan"
          />
        ))}
        {boat.drives.map((d) => (
          <line
            key={d.name}
            x1={d.x_m}
            x2={d.x_m}
            y1={Math.max(0.1, bodyDepth(boat, d.x_m)) - 0.1 * d.diameter_m}
            y2={Math.max(0.1, bodyDepth(boat, d.x_m)) + 0.9 * d.diameter_m}
            className="stroke-ink"
            strokeWidth={3}
            {...stroke}
          />
        ))}
        <path
          d={topsidesPath(boat)}
          className="fill-paper stroke-ink"
          strokeWidth={1.4}
          {...stroke}
        />
        {hull.superstructure_m > 0 && (
          <rect
            x={-house / 2}
            y={-hull.freeboard_m - hull.superstructure_m}
            width={house}
            height={hull.superstructure_m}
            className="fill-paper stroke-ink"
            strokeWidth={1}
            {...stroke}
          />
        )}
        {hull.mast_m > 0 && (
          <line
            x1={0.07 * hull.length_m}
            x2={0.07 * hull.length_m}
            y1={-hull.freeboard_m}
            y2={-Math.min(shown, hull.mast_m)}
            className="stroke-ink"
            strokeWidth={1.4}
            strokeDasharray={hull.mast_m > shown ? '6 3' : undefined}
            {...stroke}
          />
        )}
        <line
          x1={-hull.length_m * 0.52}
          x2={hull.length_m * 0.52}
          y1={0}
          y2={0}
          className="stroke-quiet"
          strokeWidth={0.8}
          {...stroke}
        />
      </g>
      <g transform={`translate(${middle} ${planY}) scale(${scale})`}>
        <path
          d={planPath(hull.deck)}
          className="fill-paper stroke-ink"
          strokeWidth={1.4}
          {...stroke}
        />
        {waterlinePaths(boat).map((d) => (
          <path
            key={d}
            d={d}
            fill="none"
            className="stroke-quiet"
            strokeWidth={1}
            strokeDasharray="3 3"
            {...stroke}
          />
        ))}
        {boat.rudders.map((r) => (
          <line
            key={r.name}
            x1={r.x_m + (0.3 * r.area_m2) / r.span_m}
            x2={r.x_m - (0.7 * r.area_m2) / r.span_m}
            y1={r.y_m}
            y2={r.y_m}
            className="stroke-plan"
            strokeWidth={3}
            {...stroke}
          />
        ))}
        {boat.drives.map((d) => (
          <line
            key={d.name}
            x1={d.x_m}
            x2={d.x_m}
            y1={d.y_m - d.diameter_m / 2}
            y2={d.y_m + d.diameter_m / 2}
            className="stroke-ink"
            strokeWidth={3}
            {...stroke}
          />
        ))}
        {boat.thrusters.map((t) => (
          <line
            key={t.name}
            x1={t.x_m}
            x2={t.x_m}
            y1={-0.2 * hull.beam_m}
            y2={0.2 * hull.beam_m}
            className="stroke-ink"
            strokeWidth={1.6}
            strokeDasharray="2 2"
            {...stroke}
          />
        ))}
      </g>
      {pivots && <PivotMarks pivots={pivots} at={(x) => middle + x * scale} y={planY} />}
      <g className="figures fill-quiet text-[12px]">
        <text x={middle} y={height - 6} textAnchor="middle">
          {figure(hull.length_m)} long, {figure(hull.beam_m)} wide, {figure(hull.draught_m)} deep
        </text>
      </g>
    </svg>
  );
}

const PIVOTS = [
  { key: 'kick', words: 'first kick', sign: 'K' },
  { key: 'ahead', words: 'turning ahead', sign: 'A' },
  { key: 'astern', words: 'turning astern', sign: 'S' },
] as const;

/** Pivot points on the centre line: a letter in a ring each, told by letter and place, not by colour. */
function PivotMarks({ pivots, at, y }: { pivots: Pivots; at: (x: number) => number; y: number }) {
  return (
    <g>
      {PIVOTS.map(({ key, words, sign }) => {
        const x = pivots[key];
        if (x === null || !Number.isFinite(x)) return null;
        const px = Math.max(10, Math.min(WIDTH - 10, at(x)));
        return (
          <g key={key} transform={`translate(${px} ${y})`}>
            <title>{`Pivot, ${words}: ${x.toFixed(1)} m ${x >= 0 ? 'forward of' : 'abaft'} midships`}</title>
            <circle r={8.5} className="fill-paper stroke-plan" strokeWidth={1.6} />
            <text y={4} textAnchor="middle" className="fill-plan text-[11px] font-bold">
              {sign}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** What the letters on the drawing mean, with figures. */
export function PivotWords({ pivots, length }: { pivots: Pivots; length: number }) {
  const unit = usePreferences((p) => p.length);
  return (
    <ul className="flex flex-wrap gap-x-5 text-[13px]" aria-label="Pivot points">
      {PIVOTS.map(({ key, words, sign }) => {
        const x = pivots[key];
        const place =
          x === null
            ? 'hardly turns'
            : `${Math.abs(lengthIn(x, unit)).toFixed(1)} ${unit} ${x >= 0 ? 'forward of' : 'abaft'} midships (${(Math.abs(x) / length).toFixed(2)} L)`;
        return (
          <li key={key}>
            <span className="font-semibold text-plan">{sign}</span> {words}:{' '}
            <span className="figures">{place}</span>
          </li>
        );
      })}
    </ul>
  );
}
