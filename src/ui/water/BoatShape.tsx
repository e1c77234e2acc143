'use client';
import { Circle, Group, Line } from 'react-konva';
import type { BoatSpec } from '@/core/craft';
import type { Palette } from '../theme/palette';

/** Body points (x ahead, y to starboard) as Konva points in a group that looks along its y axis. */
function inGroup(points: Float64Array): number[] {
  const out: number[] = [];
  for (let i = 0; i < points.length; i += 2) out.push(points[i + 1]!, points[i]!);
  return out;
}

/** Wash of the propeller: longer and wider with revolutions, on the side the water is thrown to. */
function Wash({ spec, rps, palette }: { spec: BoatSpec; rps: number; palette: Palette }) {
  const shaft = spec.shafts[0];
  if (!shaft || Math.abs(rps) < 0.3) return null;
  const share = Math.min(1, Math.abs(rps) / shaft.fullRps);
  const way = rps > 0 ? -1 : 1;
  const length = (0.12 + 0.4 * share) * spec.hull.length;
  const width = shaft.diameter * (0.8 + share);
  const from = way < 0 ? -spec.hull.length / 2 : shaft.x;
  return (
    <>
      {[-1, 0, 1].map((k) => (
        <Line
          key={k}
          points={[k * width * 0.5, from, k * width, from + way * length * (k === 0 ? 1 : 0.75)]}
          stroke={palette.shore}
          strokeWidth={1.4}
          strokeScaleEnabled={false}
          lineCap="round"
        />
      ))}
    </>
  );
}

/** The boat at one moment: deck and waterline, fenders, helm's rudder, wash. Metres, heading in radians. */
export function BoatShape({
  spec,
  palette,
  x,
  y,
  heading,
  rudder,
  rps,
}: {
  spec: BoatSpec;
  palette: Palette;
  x: number;
  y: number;
  heading: number;
  rudder: number;
  rps: number;
}) {
  const blade = spec.rudders[0];
  const chord = blade ? blade.area / blade.span : 0;
  return (
    // The layer's y axis points north, so a clockwise heading is a negative turn.
    <Group listening={false} x={x} y={y} rotation={(-heading * 180) / Math.PI}>
      <Wash spec={spec} rps={rps} palette={palette} />
      {spec.fenders.map((f) => (
        <Circle
          key={f.name}
          x={f.y}
          y={f.x}
          radius={f.diameter / 2}
          fill={palette.paper}
          stroke={palette.ink}
          strokeWidth={0.8}
          strokeScaleEnabled={false}
        />
      ))}
      <Line points={inGroup(spec.hull.deck)} closed fill={palette.ink} lineJoin="round" />
      <Line
        points={inGroup(spec.hull.waterline)}
        closed
        stroke={palette.paper}
        opacity={0.55}
        strokeWidth={1}
        dash={[2, 2]}
        strokeScaleEnabled={false}
      />
      {blade && (
        <Group x={blade.y} y={blade.x + chord * 0.3} rotation={(rudder * 180) / Math.PI}>
          <Line
            points={[0, 0, 0, -Math.max(chord * 1.6, 0.9)]}
            stroke={palette.plan}
            strokeWidth={3}
            strokeScaleEnabled={false}
            lineCap="round"
          />
        </Group>
      )}
    </Group>
  );
}
