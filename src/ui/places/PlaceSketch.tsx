import type { Feature, Place } from '@/document';
import { gistOf } from './edit';

const FILLS: Readonly<Record<string, string>> = {
  bank: 'fill-land',
  quay: 'fill-land stroke-ink',
  building: 'fill-land stroke-ink',
  pontoon: 'fill-paper stroke-ink',
  boat: 'fill-paper stroke-quiet',
};
const ORDER = ['bank', 'quay', 'building', 'pontoon', 'boat'];

/** A place at a glance, north up. */
export function PlaceSketch({ place }: { place: Place }) {
  const solids = place.features
    .filter((f): f is Extract<Feature, { outline_m: unknown }> => 'outline_m' in f)
    .sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind));
  const corners = gistOf(place);
  if (corners.length === 0)
    return <svg viewBox="0 0 16 9" className="h-24 w-full bg-water" aria-hidden />;
  const xs = corners.map(([x]) => x);
  const ys = corners.map(([, y]) => y);
  const [left, top] = [Math.min(...xs) - 6, -Math.max(...ys) - 6];
  const [wide, high] = [Math.max(...xs) - left + 6, -Math.min(...ys) - top + 6];
  return (
    <svg
      viewBox={`${left} ${top} ${wide} ${high}`}
      className="h-24 w-full bg-water"
      preserveAspectRatio="xMidYMid slice"
      aria-hidden
    >
      {solids.map(({ id, kind, outline_m }) => (
        <polygon
          key={id}
          points={outline_m.map(([x, y]) => `${x},${-y}`).join(' ')}
          className={FILLS[kind]}
          strokeWidth={0.8}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}
