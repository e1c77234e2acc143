import type { Place } from '@/document';
import { SvgShapes } from '../plot/SvgShapes';
import { gistOf } from './edit';
import { picturedFeatures } from './features';

/** Room round what is shown, m, and how many pixels a sketch is high. */
const ROUND_M = 6;
const HIGH_PX = 96;

/** A place at a glance, north up. */
export function PlaceSketch({ place }: { place: Place }) {
  const corners = gistOf(place);
  if (corners.length === 0)
    return <svg viewBox="0 0 16 9" className="h-24 w-full bg-water" aria-hidden />;
  const xs = corners.map(([x]) => x);
  const ys = corners.map(([, y]) => y);
  const [left, top] = [Math.min(...xs) - ROUND_M, -Math.max(...ys) - ROUND_M];
  const [wide, high] = [Math.max(...xs) - left + ROUND_M, -Math.min(...ys) - top + ROUND_M];
  return (
    <svg
      viewBox={`${left} ${top} ${wide} ${high}`}
      className="h-24 w-full bg-water"
      preserveAspectRatio="xMidYMid slice"
      aria-hidden
    >
      {picturedFeatures(place.features, high / HIGH_PX).map(({ id, shapes }) => (
        <SvgShapes key={id} shapes={shapes} />
      ))}
    </svg>
  );
}
