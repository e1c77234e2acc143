'use client';
import { isInside, signedArea } from '@/core/math';
import {
  standingLevel,
  type Area,
  type CueDocument,
  type GoalDocument,
  type Manoeuvre,
  type Place,
  type PlanDocument,
} from '@/document';
import { useUnits } from '../state/preferences';
import { LAND_FROM } from '../places/features/view';
import { viewOfFeature } from '../places/features';
import { viewOfArea } from '../places/areas';
import { toScreen, type Camera, type View } from './camera';
import { fixtures, namesThatFit, type Label, type ScreenBox } from './names';

/** Pixels in a metre from which on berths are named. */
const BERTHS_FROM = 7;

function middle(outline: readonly (readonly [number, number])[]): [number, number] {
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
}

/** Places tried across an area for its words, each way. */
const TRIED = 9;

/** Where the words of an area stand: as near its middle as may be, inside it and not inside a smaller one of its kind. */
function labelPlace(area: Area, all: readonly Area[]): [number, number] {
  const ring = (a: Area) => Float64Array.from(a.outline_m.flat());
  const own = ring(area);
  const size = Math.abs(signedArea(own));
  const smaller = all
    .filter((a) => a.kind === area.kind && a.id !== area.id)
    .map(ring)
    .filter((other) => Math.abs(signedArea(other)) < size);
  const [mx, my] = middle(area.outline_m);
  const xs = area.outline_m.map(([x]) => x);
  const ys = area.outline_m.map(([, y]) => y);
  const [west, south] = [Math.min(...xs), Math.min(...ys)];
  const [wide, high] = [Math.max(...xs) - west, Math.max(...ys) - south];
  let best: [number, number] = [mx, my];
  let least = Infinity;
  for (let i = 0; i < TRIED * TRIED; i++) {
    const x = west + (((i % TRIED) + 0.5) / TRIED) * wide;
    const y = south + ((Math.floor(i / TRIED) + 0.5) / TRIED) * high;
    const off = Math.hypot(x - mx, y - my);
    if (off >= least || !isInside(own, x, y) || smaller.some((r) => isInside(r, x, y))) continue;
    least = off;
    best = [x, y];
  }
  return best;
}

/** Marks that the plan's cues, orders and expectations name: these are always shown. */
export function marksNamed(plan: PlanDocument): Set<string> {
  const cues: CueDocument[] = [...plan.steps.map((step) => step.cue), plan.end.cue];
  const simple = cues.flatMap((cue) => (cue.is === 'any' || cue.is === 'all' ? cue.of : [cue]));
  const expected = plan.steps.flatMap((step) => step.expect);
  const orders = plan.steps.flatMap((step) => step.orders);
  const parts = [...simple, ...expected, ...orders];
  const ends = [
    ...plan.lines.flatMap(({ fast }) => (fast ? [fast.to] : [])),
    ...orders.flatMap((order) => (order.do === 'pass' ? [order.to] : [])),
  ];
  return new Set([
    ...parts.flatMap((part) => ('mark' in part && part.mark !== undefined ? [part.mark] : [])),
    ...ends,
  ]);
}

/** What of a manoeuvre is called by name on the water. */
export interface Named {
  readonly others: Manoeuvre['others'];
  readonly plan: PlanDocument;
  readonly goal: GoalDocument;
  /** What else has words there. */
  readonly taken?: readonly ScreenBox[];
}

/** Names of what stands about, small and quiet, so that words in plan and margins can be found on the water. */
export function PlaceNames({
  place,
  named,
  camera,
  view,
}: {
  place: Place;
  /** Null where there is only the place. */
  named: Named | null;
  camera: Camera;
  view: View;
}) {
  const units = useUnits();
  const { others = [], goal = null, taken = [] } = named ?? {};
  const used = named ? marksNamed(named.plan) : new Set<string>();
  if (goal?.is === 'lie') used.add(goal.mark);
  const wanted = place.features.flatMap((f): Label[] => {
    const needed = used.has(f.name);
    if (camera.scale < (needed ? 0 : viewOfFeature(f.kind).namedFrom(f))) return [];
    const point = 'outline_m' in f ? middle(f.outline_m) : ([f.x_m, f.y_m] as const);
    const [x, y] = toScreen(camera, view, point[0], point[1]);
    if (x < -60 || y < -20 || x > view.width + 60 || y > view.height + 20) return [];
    const { label } = viewOfFeature(f.kind);
    // A figure stands where it was found, a name over the thing it is of.
    const over = 'outline_m' in f || label ? 0 : 11;
    return [{ id: f.id, name: label?.(f, units) ?? f.name, x, y: y - over, needed }];
  });
  const areas = place.areas.flatMap((area): Label[] => {
    if (camera.scale < LAND_FROM) return [];
    const [x, y] = toScreen(camera, view, ...labelPlace(area, place.areas));
    return [
      {
        id: area.id,
        name: viewOfArea(area.kind).label(area, units, standingLevel(place, area.outline_m)),
        x,
        y,
        needed: viewOfArea(area.kind).needed ?? false,
      },
    ];
  });
  const berths = place.berths.flatMap((berth): Label[] => {
    // Where there is only the place, its berths are what it is about.
    if (named ? !used.has(berth.name) : camera.scale < BERTHS_FROM) return [];
    const [[ax, ay], [bx, by]] = berth.edge_m;
    const [x, y] = toScreen(camera, view, (ax + bx) / 2, (ay + by) / 2);
    return [{ id: berth.id, name: berth.name, x, y, needed: named !== null }];
  });
  const boats = others.map(({ id, name, start }): Label => {
    const [x, y] = toScreen(camera, view, start.x_m, start.y_m);
    return { id, name, x, y, needed: true };
  });
  const names = namesThatFit(
    [...wanted, ...berths, ...boats, ...areas],
    [...fixtures(view), ...taken],
  );
  return (
    <svg className="pointer-events-none absolute inset-0 size-full" aria-hidden>
      {names.map(({ id, name, x, y }) => (
        <text
          key={id}
          x={x}
          y={y + 4}
          textAnchor="middle"
          className="fill-quiet stroke-water text-[11px]"
          strokeWidth="2"
          paintOrder="stroke"
        >
          {name}
        </text>
      ))}
    </svg>
  );
}
