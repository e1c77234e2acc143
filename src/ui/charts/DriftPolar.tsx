'use client';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { curveCardinal, lineRadial } from 'd3-shape';
import { SHEET_WINDS_KN, type Drift } from '@/core/trials';
import { MPS_PER_KNOT } from '@/core/units';
import type { Units } from '../words/units';
import { speedIn } from '../words/units';

const SIZE = 380;
const RADIUS = 150;
const STROKES = [0.9, 1.2, 1.5, 1.9, 2.4];

/** Angle off the bow a dot stands at; the bow is up and starboard to the right. */
const placed = (angle: number, radius: number): [number, number] => [
  radius * Math.sin(angle),
  -radius * Math.cos(angle),
];

/**
 * Drift in wind: bow up, one curve per wind. Along a curve, the angle is where the wind blows from off the boat's bow
 * as it is let go, the distance out is it drift down-wind twenty seconds later. The dot shows where off the bow the
 * wind stands once it lies still, and how fast it then drifts.
 */
export function DriftPolar({ drifts, units }: { drifts: readonly Drift[]; units: Units }) {
  // Let go dead before the wind the boat runs on for ever: only what is drawn sets the scale.
  const abeam = drifts.filter((d) => Math.abs(d.began - Math.PI / 2) < 0.01);
  const most = Math.max(max(drifts, (d) => d.early) ?? 0, max(abeam, (d) => d.drift) ?? 0, 0.01);
  const r = scaleLinear([0, most], [0, RADIUS]).nice(4);
  const curve = lineRadial<Drift & { angle: number }>()
    .angle((d) => d.angle)
    .radius((d) => r(Math.max(0, d.early)))
    .curve(curveCardinal.tension(0.4));
  const rings = r.ticks(4).filter((t) => t > 0);
  return (
    <svg
      viewBox={`${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE}`}
      className="w-full max-w-[420px]"
      role="img"
      aria-label={polarWords(drifts, units)}
    >
      {rings.map((ring) => (
        <g key={ring}>
          <circle r={r(ring)} fill="none" className="stroke-hairline" strokeWidth={0.8} />
          <text y={r(ring) - 3} textAnchor="middle" className="figures fill-quiet text-[10.5px]">
            {speedIn(ring, units.speed).toFixed(units.speed === 'kn' ? 1 : 2)}
          </text>
        </g>
      ))}
      {[0, 30, 60, 90, 120, 150, 180, 210, 240, 270, 300, 330].map((degrees) => {
        const [x, y] = placed((degrees * Math.PI) / 180, RADIUS + 16);
        const [x1, y1] = placed((degrees * Math.PI) / 180, RADIUS);
        const off = degrees > 180 ? 360 - degrees : degrees;
        return (
          <g key={degrees}>
            <line x2={x1} y2={y1} className="stroke-hairline" strokeWidth={0.6} />
            <text
              x={x}
              y={y + 4}
              textAnchor="middle"
              className="figures fill-quiet text-[11px]"
            >{`${off}°`}</text>
          </g>
        );
      })}
      <path d="M0 -13 L5 -2 L4 11 L-4 11 L-5 -2 Z" className="fill-ink" />
      {SHEET_WINDS_KN.map((knots, i) => {
        const of = drifts.filter((d) => Math.abs(d.wind - knots * MPS_PER_KNOT) < 1e-6);
        const right = of.map((d) => ({ ...d, angle: d.began }));
        const left = of
          .slice(1, -1)
          .reverse()
          .map((d) => ({ ...d, angle: 2 * Math.PI - d.began }));
        const abeam = of.reduce((best, d) =>
          Math.abs(d.began - Math.PI / 2) < Math.abs(best.began - Math.PI / 2) ? d : best,
        );
        const closed = [...right, ...left, right[0]!];
        return (
          <g key={knots}>
            <path
              d={curve(closed) ?? ''}
              fill="none"
              className="stroke-ink"
              strokeWidth={STROKES[i]}
            />
            {[-1, 1].map((side) => {
              const [x, y] = placed(side * abeam.lies, r(abeam.drift));
              return (
                <circle
                  key={side}
                  cx={x}
                  cy={y}
                  r={4}
                  className="fill-paper stroke-plan"
                  strokeWidth={2}
                />
              );
            })}
          </g>
        );
      })}
    </svg>
  );
}

function polarWords(drifts: readonly Drift[], units: Units): string {
  const abeam = drifts.filter((d) => Math.abs(d.began - Math.PI / 2) < 0.01);
  const parts = abeam.map(
    (d) =>
      `in ${Math.round(d.wind / MPS_PER_KNOT)} kn the boat drifts at ${speedIn(d.drift, units.speed).toFixed(1)} ${units.speed}, the wind ${Math.round((d.lies * 180) / Math.PI)}° off the bow`,
  );
  return `Drift in wind: ${parts.join('; ')}.`;
}
