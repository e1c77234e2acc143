'use client';
import { line } from 'd3-shape';
import { useMemo } from 'react';
import { endTo, wholeOutline, type Berth, type Boat, type Manoeuvre, type Place } from '@/document';
import { outOf, type LyingThere } from '@/planner';
import { picturedFeatures } from '../places/features';
import { SvgShapes } from '../plot/SvgShapes';

/** Room round the berths that is drawn, m. */
const MARGIN_M = 26;

const path = (points: readonly (readonly [number, number])[]) =>
  `${line()(points.map(([x, y]): [number, number] => [x, -y])) ?? ''}Z`;

/** As high as it mostly stands on a screen, px. */
const HIGH_PX = 420;

const halfEdge = ({ edge_m: [[ax, ay], [bx, by]] }: Berth) => Math.hypot(bx - ax, by - ay) / 2;

/** From a slip's head to its mouth. */
function mouthOf(berth: Berth) {
  const [[ax, ay], [bx, by]] = berth.edge_m;
  const whole = 2 * halfEdge(berth);
  return { x: (ax - bx) / whole, y: (ay - by) / whole };
}

/** The berths of a place in plan, north up, to be pressed; the boat drawn where it will lie. */
export function BerthPlan({
  place,
  boat,
  chosen,
  lying,
  start,
  onChoose,
}: {
  place: Place;
  boat: Boat;
  chosen: Berth | null;
  /** How the boat lies in that berth; null until it is known. */
  lying: LyingThere | null;
  /** Where the boat begins, where that is not a berth. */
  start: Manoeuvre['start'] | null;
  onChoose: (berth: Berth) => void;
}) {
  const box = useMemo(() => {
    const locks = start ? place.areas.filter(({ kind }) => kind === 'lock') : [];
    const corners = [
      ...place.berths.flatMap(({ edge_m }) => edge_m),
      ...locks.flatMap(({ outline_m }) => outline_m),
      ...(start ? [[start.x_m, start.y_m] as const] : []),
    ];
    const xs = corners.map(([x]) => x);
    const ys = corners.map(([, y]) => y);
    const left = Math.min(...xs) - MARGIN_M;
    const low = Math.min(...ys) - MARGIN_M;
    return {
      left,
      top: -(Math.max(...ys) + MARGIN_M),
      width: Math.max(...xs) + MARGIN_M - left,
      height: Math.max(...ys) + MARGIN_M - low,
    };
  }, [place, start]);
  const text = Math.max(box.width, box.height) / 52;
  const drawn = start
    ? { x: start.x_m, y: start.y_m, heading_deg: start.heading_deg }
    : lying && { x: lying.x, y: lying.y, heading_deg: (lying.heading * 180) / Math.PI };
  // In front of a slip's mouth; off the boat alongside, ahead of one stern to.
  const slip = chosen?.kind === 'slip';
  const away = chosen && lying ? (slip ? mouthOf(chosen) : lying.out) : null;
  const { length_m, beam_m } = boat.hull;
  const clear =
    chosen && slip ? halfEdge(chosen) : (chosen && endTo(chosen) ? length_m : beam_m) / 2;
  const named = {
    x: (lying?.x ?? 0) + (away?.x ?? 0) * (clear + 2.4 * text),
    y: (lying?.y ?? 0) + (away?.y ?? 0) * (clear + 2.4 * text),
  };
  const hull = useMemo(() => {
    const flat = wholeOutline(boat.hull.deck);
    return Array.from({ length: flat.length / 2 }, (_, i): [number, number] => [
      flat[2 * i]!,
      flat[2 * i + 1]!,
    ]);
  }, [boat]);
  return (
    <svg
      viewBox={`${box.left} ${box.top} ${box.width} ${box.height}`}
      className="h-full w-full bg-water"
      role="img"
      aria-label={`Plan of ${place.name}${chosen ? `, the boat in ${chosen.name}` : start ? ', the boat before the lock' : ''}`}
    >
      {picturedFeatures(place.features, box.height / HIGH_PX).map(({ id, shapes }) => (
        <SvgShapes key={id} shapes={shapes} />
      ))}
      {drawn && (
        <path
          d={path(hull)}
          // Body axes have x ahead and y to starboard; on the plan north is up.
          transform={`translate(${drawn.x} ${-drawn.y}) rotate(${drawn.heading_deg - 90}) scale(1 -1)`}
          className="fill-sweep stroke-plan"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      )}
      {place.berths.map((berth) => {
        const [[ax, ay], [bx, by]] = berth.edge_m;
        const out = outOf(place, berth);
        const on = berth.id === chosen?.id;
        const mid = { x: (ax + bx) / 2 + 3 * out.x, y: (ay + by) / 2 + 3 * out.y };
        return (
          <g key={berth.id} onClick={() => onChoose(berth)} className="cursor-pointer">
            <title>{berth.name}</title>
            <path
              d={path([
                [ax, ay],
                [bx, by],
                [bx + 5 * out.x, by + 5 * out.y],
                [ax + 5 * out.x, ay + 5 * out.y],
              ])}
              className="fill-transparent"
            />
            <line
              x1={ax}
              y1={-ay}
              x2={bx}
              y2={-by}
              className="stroke-plan"
              strokeWidth={on ? 5 : 2.5}
              vectorEffect="non-scaling-stroke"
            />
            {!on && <circle cx={mid.x} cy={-mid.y} r={1.1} className="fill-plan" aria-hidden />}
          </g>
        );
      })}
      {chosen && lying && (
        <text
          x={named.x}
          y={-named.y + 0.5 * text}
          fontSize={text * 1.3}
          textAnchor="middle"
          className="water-text fill-ink font-semibold"
        >
          {chosen.name}
        </text>
      )}
    </svg>
  );
}
