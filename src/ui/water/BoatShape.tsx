'use client';
import { Circle, Group, Line } from 'react-konva';
import { hullMiddles, type BoatSpec } from '@/core/boat';
import type { Palette } from '../theme/palette';

/** Body points (x ahead, y to starboard) as Konva points in a group that looks along its y axis. */
function inGroup(points: Float64Array): number[] {
  const out: number[] = [];
  for (let i = 0; i < points.length; i += 2) out.push(points[i + 1]!, points[i]!);
  return out;
}

type Drive = BoatSpec['drives'][number];

/** Wash of a propeller: longer and wider with revolutions, thrown along its axis, the way it is driven. */
function Wash({
  spec,
  drive,
  rps,
  angle,
  palette,
}: {
  spec: BoatSpec;
  drive: Drive;
  rps: number;
  angle: number;
  palette: Palette;
}) {
  if (Math.abs(rps) < 0.3) return null;
  const share = Math.min(1, Math.abs(rps) / drive.fullRps);
  const way = rps > 0 ? -1 : 1;
  const length = (0.12 + 0.4 * share) * spec.hull.length;
  const width = drive.diameter * (0.8 + share);
  // Under the hull it is not seen: a fixed shaft's wash shows from the stern, or from the screw forward.
  const from = way < 0 ? Math.min(0, -spec.hull.length / 2 - drive.x) : 0;
  return (
    <Group x={drive.y} y={drive.x} rotation={(angle * 180) / Math.PI}>
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
    </Group>
  );
}

/** What steers: a rudder's blade or a drive's leg at its angle. */
function Blade({
  x,
  y,
  reach,
  angle,
  palette,
}: {
  x: number;
  y: number;
  reach: number;
  angle: number;
  palette: Palette;
}) {
  return (
    <Group x={y} y={x} rotation={(angle * 180) / Math.PI}>
      <Line
        points={[0, 0, 0, -reach]}
        stroke={palette.plan}
        strokeWidth={3}
        strokeScaleEnabled={false}
        lineCap="round"
      />
    </Group>
  );
}

/** What moves aboard at one moment: rudder angle; revolutions and angle of each drive; thrusters' power. */
export interface Works {
  readonly rudder: number;
  readonly rps: readonly number[];
  readonly angles: readonly number[];
  readonly thrusters: readonly number[];
}

/** The boat at one moment: deck and waterline, fenders, rudders or legs, wash. Metres, heading in radians. */
export function BoatShape({
  spec,
  palette,
  x,
  y,
  heading,
  works,
}: {
  spec: BoatSpec;
  palette: Palette;
  x: number;
  y: number;
  heading: number;
  works: Works;
}) {
  const { hull } = spec;
  return (
    // The layer's y axis points north, so a clockwise heading is a negative turn.
    <Group listening={false} x={x} y={y} rotation={(-heading * 180) / Math.PI}>
      {spec.drives.map((drive, i) => (
        <Wash
          key={drive.name}
          spec={spec}
          drive={drive}
          rps={works.rps[i] ?? 0}
          angle={works.angles[i] ?? 0}
          palette={palette}
        />
      ))}
      {spec.thrusters.map((thruster, i) => {
        const power = works.thrusters[i] ?? 0;
        if (Math.abs(power) < 0.05) return null;
        // Pushing to starboard throws its jet out to port.
        const side = power > 0 ? -1 : 1;
        const from = side * hull.beam * 0.2;
        return (
          <Line
            key={thruster.name}
            points={[from, thruster.x, from + side * hull.beam * 0.9 * Math.abs(power), thruster.x]}
            stroke={palette.shore}
            strokeWidth={2.2}
            strokeScaleEnabled={false}
            lineCap="round"
          />
        );
      })}
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
      <Line points={inGroup(hull.deck)} closed fill={palette.ink} lineJoin="round" />
      {hullMiddles(hull.demihullOffset).map((middle) => (
        <Line
          key={middle}
          x={middle}
          points={inGroup(hull.waterline)}
          closed
          stroke={palette.paper}
          opacity={0.55}
          strokeWidth={1}
          dash={[2, 2]}
          strokeScaleEnabled={false}
        />
      ))}
      {spec.rudders.map((blade) => {
        const chord = blade.area / blade.span;
        return (
          <Blade
            key={blade.name}
            x={blade.x + chord * 0.3}
            y={blade.y}
            reach={Math.max(chord * 1.6, 0.9)}
            angle={works.rudder}
            palette={palette}
          />
        );
      })}
      {spec.drives.map((drive, i) =>
        drive.steering === 'fixed' ? null : (
          <Blade
            key={drive.name}
            x={drive.x}
            y={drive.y}
            reach={Math.max(0.08 * hull.length, 0.7)}
            angle={works.angles[i] ?? 0}
            palette={palette}
          />
        ),
      )}
    </Group>
  );
}
