'use client';
import { memo } from 'react';
import { Circle, Group, Line, Rect } from 'react-konva';
import type { Feature, Place } from '@/document';
import type { Palette } from '../theme/palette';
import { AreaLayer } from './AreaLayer';

type Ground = Extract<Feature, { kind: 'groundLine' }>;
type Solid = Extract<Feature, { outline_m: unknown }>;

const ORDER: Readonly<Record<Solid['kind'], number>> = {
  bank: 0,
  quay: 1,
  building: 2,
  pontoon: 3,
  boat: 4,
  gate: 5,
};

function paint(kind: Solid['kind'], palette: Palette) {
  switch (kind) {
    case 'bank':
      return { fill: palette.land, stroke: palette.shore, strokeWidth: 1, dash: [5, 4] };
    case 'quay':
    case 'building':
      return { fill: palette.land, stroke: palette.ink, strokeWidth: 1.4 };
    case 'gate':
      return { fill: palette.ink, stroke: palette.ink, strokeWidth: 1 };
    case 'pontoon':
      return { fill: palette.float, stroke: palette.ink, strokeWidth: 1 };
    case 'boat':
      return { fill: palette.moored, stroke: palette.shore, strokeWidth: 1 };
  }
}

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
  /** Mark of the goal: her berth, if it is one, is drawn. */
  goal: string | null;
}) {
  const solids = place.features
    .filter((f): f is Solid => 'outline_m' in f)
    .sort((a, b) => ORDER[a.kind] - ORDER[b.kind]);
  return (
    <Group listening={false}>
      <AreaLayer place={place} palette={palette} over={false} />
      {solids.map((f) => (
        <Line
          key={f.id}
          points={f.outline_m.flat()}
          closed
          strokeScaleEnabled={false}
          lineJoin="round"
          {...paint(f.kind, palette)}
        />
      ))}
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
      {place.features.map((f) =>
        f.kind === 'groundLine' ? (
          <GroundLine key={f.id} line={f} place={place} scale={scale} palette={palette} />
        ) : f.kind === 'bollard' ? (
          <Rect
            key={f.id}
            x={f.x_m - 2.4 / scale}
            y={f.y_m - 2.4 / scale}
            width={4.8 / scale}
            height={4.8 / scale}
            fill={palette.shore}
          />
        ) : f.kind === 'pile' ? (
          <Circle
            key={f.id}
            x={f.x_m}
            y={f.y_m}
            radius={Math.max(f.radius_m, 2.2 / scale)}
            fill={palette.ink}
          />
        ) : f.kind === 'buoy' ? (
          <Circle
            key={f.id}
            x={f.x_m}
            y={f.y_m}
            radius={Math.max(0.3, 4 / scale)}
            fill={palette.paper}
            stroke={palette.ink}
            strokeWidth={2}
            strokeScaleEnabled={false}
          />
        ) : f.kind === 'ladder' ? (
          <Rungs key={f.id} x={f.x_m} y={f.y_m} scale={scale} ink={palette.ink} />
        ) : f.kind === 'mark' ? (
          <Line
            key={f.id}
            points={[
              f.x_m,
              f.y_m - 4 / scale,
              f.x_m + 4 / scale,
              f.y_m,
              f.x_m,
              f.y_m + 4 / scale,
              f.x_m - 4 / scale,
              f.y_m,
            ]}
            closed
            fill={palette.paper}
            stroke={palette.ink}
            strokeWidth={1}
            strokeScaleEnabled={false}
          />
        ) : null,
      )}
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

/** Rungs one over the other, px. */
const RUNGS_PX = [-4, 0, 4];

function Rungs({ x, y, scale, ink }: { x: number; y: number; scale: number; ink: string }) {
  return RUNGS_PX.map((up) => (
    <Line
      key={up}
      points={[x - 3.5 / scale, y + up / scale, x + 3.5 / scale, y + up / scale]}
      stroke={ink}
      strokeWidth={1.6}
      strokeScaleEnabled={false}
    />
  ));
}

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

/** A line on the bottom, from its weight to the bollard its tail is tied to: under the water, so only hinted at. */
function GroundLine({
  line,
  place,
  scale,
  palette,
}: {
  line: Ground;
  place: Place;
  scale: number;
  palette: Palette;
}) {
  const tail = place.features.find((f) => f.kind === 'bollard' && f.name === line.tail);
  const arm = 3.5 / scale;
  const { x_m: x, y_m: y } = line;
  const stroke = { stroke: palette.shore, strokeWidth: 1, strokeScaleEnabled: false };
  return (
    <>
      {tail?.kind === 'bollard' && (
        <Line points={[x, y, tail.x_m, tail.y_m]} dash={[2, 5]} {...stroke} />
      )}
      <Line points={[x - arm, y - arm, x + arm, y + arm]} {...stroke} />
      <Line points={[x - arm, y + arm, x + arm, y - arm]} {...stroke} />
    </>
  );
}
