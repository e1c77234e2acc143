'use client';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { ThrusterAt } from '@/core/trials';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { speedIn, type Units } from '../words/units';

const WIDTH = 380;
/** Room for the last point's own words. */
const RIGHT = 34;
const HEIGHT = 150;
const LEFT = 34;
const FOOT = 24;

/** Rate of turn a thruster gives against headway. */
export function ThrusterChart({
  name,
  at,
  units,
}: {
  name: string;
  at: readonly ThrusterAt[];
  units: Units;
}) {
  const x = scaleLinear(
    [0, speedIn(max(at, (a) => a.speed) ?? 1, units.speed)],
    [LEFT, WIDTH - RIGHT],
  );
  const y = scaleLinear(
    [0, (max(at, (a) => a.rate) ?? 1) * DEGREES_PER_RADIAN],
    [HEIGHT - FOOT, 10],
  ).nice(3);
  const points = at.map((a): [number, number] => [
    x(speedIn(a.speed, units.speed)),
    y(a.rate * DEGREES_PER_RADIAN),
  ]);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-[460px]"
      role="img"
      aria-label={`${name}: ${at.map((a) => `at ${speedIn(a.speed, units.speed).toFixed(1)} ${units.speed} ${(a.rate * DEGREES_PER_RADIAN).toFixed(1)} degrees a second, ${Math.round(a.share * 100)} % of that from rest`).join('; ')}`}
    >
      {y.ticks(3).map((tick) => (
        <g key={tick}>
          <line
            x1={LEFT}
            x2={WIDTH - RIGHT}
            y1={y(tick)}
            y2={y(tick)}
            className="stroke-hairline"
            strokeWidth={0.8}
          />
          <text
            x={LEFT - 6}
            y={y(tick) + 4}
            textAnchor="end"
            className="figures fill-quiet text-[11px]"
          >
            {tick}°/s
          </text>
        </g>
      ))}
      {x.ticks(5).map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={HEIGHT - 8}
          textAnchor="middle"
          className="figures fill-quiet text-[11px]"
        >
          {tick} {units.speed}
        </text>
      ))}
      <path d={line()(points) ?? ''} fill="none" className="stroke-ink" strokeWidth={1.8} />
      {points.map(([px, py], i) => (
        <g key={at[i]!.speed}>
          <circle cx={px} cy={py} r={2.6} className="fill-ink" />
          {i > 0 && (
            <text x={px + 4} y={py - 5} className="figures fill-ink text-[11px]">
              {Math.round(at[i]!.share * 100)} %
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}
