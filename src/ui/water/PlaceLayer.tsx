'use client';
import { memo } from 'react';
import { Group, Line } from 'react-konva';
import type { Feature, Place } from '@/document';
import type { Palette } from '../theme/palette';
import { drawnFeatures, type Drawn } from '../places/features';
import { KonvaShapes } from '../plot/KonvaShapes';
import { AreaLayer } from './AreaLayer';

/** Everything that stays where it is, in metres; the group around it carries the camera. */
export const PlaceLayer = memo(function PlaceLayer({
  place,
  palette,
  scale,
  goal,
}: {
  place: Place;
  palette: Palette;
  scale: number;
  /** Mark of the goal: the boat's berth, if it is one, is drawn. */
  goal: string | null;
}) {
  const about = { px: 1 / scale };
  const outlined = (f: Feature) => 'outline_m' in f;
  const under = drawnFeatures(place.features, about, outlined);
  const over = drawnFeatures(place.features, about, (f) => !outlined(f));
  const shapes = (drawn: readonly Drawn[]) =>
    drawn.map((one) => <KonvaShapes key={one.id} shapes={one.shapes} palette={palette} />);
  return (
    <Group listening={false}>
      <AreaLayer place={place} palette={palette} over={false} />
      {shapes(under)}
      {place.berths
        .filter(({ name }) => name === goal)
        .map(({ id, edge_m }) => (
          <Line
            key={id}
            points={edge_m.flat()}
            stroke={palette.plan}
            strokeWidth={4}
            strokeScaleEnabled={false}
          />
        ))}
      {shapes(over)}
      {place.transits.map(({ id, front, back }) => (
        <TransitLine
          key={id}
          ends={[spotOf(place, front), spotOf(place, back)]}
          palette={palette}
        />
      ))}
      <AreaLayer place={place} palette={palette} over />
    </Group>
  );
});

type At = readonly [number, number];

function spotOf({ features }: Place, name: string): At | null {
  const spot = features.find((f) => f.name === name);
  return spot && 'x_m' in spot ? [spot.x_m, spot.y_m] : null;
}

/** How far a transit is drawn on beyond the nearer mark, times the distance between the two. */
const ON = 3;

/** Two marks in line, and the water from which they are. */
function TransitLine({
  ends,
  palette,
}: {
  ends: readonly [At | null, At | null];
  palette: Palette;
}) {
  const [front, back] = ends;
  if (!front || !back) return null;
  const [dx, dy] = [front[0] - back[0], front[1] - back[1]];
  return (
    <Line
      points={[...back, front[0] + ON * dx, front[1] + ON * dy]}
      stroke={palette.shore}
      strokeWidth={0.8}
      dash={[14, 5]}
      strokeScaleEnabled={false}
    />
  );
}
