'use client';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { arc } from 'd3-shape';
import { ROSE_DIRECTIONS, type RoseRange } from '@/core/reliability';
import { compassPoint, speedIn, windSpeed, type Units } from '../words/units';

const SIZE = 300;
const RADIUS = 112;
/** A wedge takes so much of its sixteenth. */
const WIDE = 0.86;
/** A wind that holds alone still shows, so thick; crosses stand clear of one another, and of the rings' figures. */
const THIN = 4;
const CROSSES = 22;
/** As far out as so much wind at the least, m/s. */
const LEAST_MPS = 4;
const STEP = (2 * Math.PI) / ROSE_DIRECTIONS;
const DEG = 180 / Math.PI;

const placed = (angle: number, radius: number): [number, number] => [
  radius * Math.sin(angle),
  -radius * Math.cos(angle),
];

/** "from N 0 to 14 kn; from NE in no wind that was tried" */
export function roseWords(ranges: readonly RoseRange[], units: Units): string {
  return ranges
    .map(({ from, least, most }) => {
      const where = compassPoint(from * DEG);
      if (least === null || most === null) return `from ${where} in no wind that was tried`;
      return `from ${where} ${windSpeed(least, units)} to ${windSpeed(most, units)}`;
    })
    .join('; ');
}

/**
 * North up: a wedge for each direction the wind may blow from, as far out as the mean winds in which the plan holds in 90 of 100. A
 * cross stands where it holds in none; what is not known yet is left open. The dot is the wind it is written for.
 */
export function WindRose({
  ranges,
  told,
  units,
}: {
  ranges: readonly RoseRange[];
  /** The day's own mean wind: from, rad, and speed, m/s. */
  told: { readonly from: number; readonly speed: number };
  units: Units;
}) {
  const most = Math.max(max(ranges, ({ most: m }) => m ?? 0) ?? 0, told.speed, LEAST_MPS);
  // Rings stand at round figures of the unit that is shown.
  const scale = scaleLinear([0, speedIn(most, units.speed)], [0, RADIUS]).nice(4);
  const r = (speed: number) => scale(speedIn(speed, units.speed));
  const wedge = arc<RoseRange & { least: number; most: number }>()
    .innerRadius((d) => Math.max(0, Math.min(r(d.least), (r(d.least) + r(d.most) - THIN) / 2)))
    .outerRadius((d) => Math.max(r(d.most), (r(d.least) + r(d.most) + THIN) / 2))
    .startAngle((d) => d.from - (WIDE * STEP) / 2)
    .endAngle((d) => d.from + (WIDE * STEP) / 2);
  const rings = scale.ticks(4).filter((t) => t > 0);
  const [x, y] = placed(told.from, r(told.speed));
  return (
    <svg
      viewBox={`${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE}`}
      className="w-full max-w-[320px]"
      role="img"
      aria-label={`Winds it holds in: ${roseWords(ranges, units)}`}
    >
      {ranges.map((range) => {
        const { from, least, most: to } = range;
        if (least === null || to === null) {
          const [cx, cy] = placed(from, CROSSES);
          return (
            <path
              key={from}
              d={`M${cx - 3} ${cy - 3} l6 6 m0 -6 l-6 6`}
              className="stroke-hurt"
              strokeWidth={1.4}
            />
          );
        }
        return (
          <path
            key={from}
            d={wedge({ ...range, least, most: to }) ?? ''}
            className="fill-sweep stroke-plan"
            strokeWidth={1}
          >
            <title>{roseWords([range], units)}</title>
          </path>
        );
      })}
      {rings.map((ring) => (
        <g key={ring}>
          <circle r={scale(ring)} fill="none" className="stroke-hairline" strokeWidth={0.8} />
          {scale(ring) > CROSSES + 8 && (
            <text
              y={3.5 - scale(ring)}
              textAnchor="middle"
              className="figures fill-ink text-[10.5px]"
            >
              {ring}
            </text>
          )}
        </g>
      ))}
      {[0, 45, 90, 135, 180, 225, 270, 315].map((degrees) => {
        const [tx, ty] = placed(degrees / DEG, RADIUS + 17);
        return (
          <text
            key={degrees}
            x={tx}
            y={ty + 4}
            textAnchor="middle"
            className="fill-quiet text-[11.5px]"
          >
            {compassPoint(degrees)}
          </text>
        );
      })}
      <circle cx={x} cy={y} r={4} className="fill-ink stroke-paper" strokeWidth={1.5} />
    </svg>
  );
}
