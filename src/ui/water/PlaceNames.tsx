'use client';
import { signedArea } from '@/core/math';
import type {
  CueDocument,
  Feature,
  GoalDocument,
  Manoeuvre,
  Place,
  ScoreDocument,
} from '@/document';
import { toScreen, type Camera, type View } from './camera';
import { fixtures, namesThatFit, type Label, type ScreenBox } from './names';

/** Pixels in a metre below which names would crowd. */
const BOATS_FROM = 4.5;
const MARKS_FROM = 11;
const LAND_FROM = 1.5;
const BERTHS_FROM = 7;

function middle(outline: readonly (readonly [number, number])[]): [number, number] {
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
}

/** Less than so much of a pontoon is a finger, m². */
const FINGER_M2 = 30;

function shownFrom(f: Feature): number {
  if (!('outline_m' in f)) return MARKS_FROM;
  if (f.kind === 'boat') return BOATS_FROM;
  return Math.abs(signedArea(Float64Array.from(f.outline_m.flat()))) < FINGER_M2
    ? MARKS_FROM
    : LAND_FROM;
}

/** Marks that the score's cues, orders and expectations name: these are always shown. */
export function marksNamed(score: ScoreDocument): Set<string> {
  const cues: CueDocument[] = [...score.beats.map((beat) => beat.cue), score.end.cue];
  const simple = cues.flatMap((cue) => (cue.is === 'any' || cue.is === 'all' ? cue.of : [cue]));
  const expected = score.beats.flatMap((beat) => beat.expect);
  const orders = score.beats.flatMap((beat) => beat.orders);
  const parts = [...simple, ...expected, ...orders];
  const ends = [
    ...score.lines.flatMap(({ fast }) => (fast ? [fast.to] : [])),
    ...orders.flatMap((order) => (order.do === 'pass' ? [order.to] : [])),
  ];
  return new Set([...parts.flatMap((part) => ('mark' in part ? [part.mark] : [])), ...ends]);
}

/** What of a manoeuvre is called by name on the water. */
export interface Named {
  readonly others: Manoeuvre['others'];
  readonly score: ScoreDocument;
  readonly goal: GoalDocument;
  /** What else has words there. */
  readonly taken?: readonly ScreenBox[];
}

/** Names of what stands about, small and quiet, so that words in score and margins can be found on the water. */
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
  const { others = [], goal = null, taken = [] } = named ?? {};
  const used = named ? marksNamed(named.score) : new Set<string>();
  if (goal?.is === 'lie') used.add(goal.mark);
  const wanted = place.features.flatMap((f): Label[] => {
    const needed = used.has(f.name);
    if (camera.scale < (needed ? 0 : shownFrom(f))) return [];
    const point = 'outline_m' in f ? middle(f.outline_m) : ([f.x_m, f.y_m] as const);
    const [x, y] = toScreen(camera, view, point[0], point[1]);
    if (x < -60 || y < -20 || x > view.width + 60 || y > view.height + 20) return [];
    const small = !('outline_m' in f);
    return [{ id: f.id, name: f.name, x, y: small ? y - 11 : y, needed }];
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
  const names = namesThatFit([...wanted, ...berths, ...boats], [...fixtures(view), ...taken]);
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
