'use client';
import { memo, useMemo } from 'react';
import { Circle, Group, Line } from 'react-konva';
import type { Run } from '@/core/plan';
import { radians, toBoatSpec, type Other } from '@/document';
import { usePlayhead } from '../state/playhead';
import type { Palette } from '../theme/palette';
import { readAt } from './sample';

/** The other boats where they lie at the playhead; where they are put while no run tells. */
export function OtherBoats({
  others,
  run,
  palette,
}: {
  others: readonly Other[];
  run: Pick<Run, 'trace'> | null;
  palette: Palette;
}) {
  const time = usePlayhead((p) => p.time);
  return others.map((other, i) => {
    const told = run?.trace.others[i];
    return (
      <Hull
        key={other.id}
        boat={other.boat}
        palette={palette}
        x={told ? readAt(run!, told.x, time) : other.start.x_m}
        y={told ? readAt(run!, told.y, time) : other.start.y_m}
        heading={told ? readAt(run!, told.heading, time) : radians(other.start.heading_deg)}
      />
    );
  });
}

const Hull = memo(function Hull({
  boat,
  x,
  y,
  heading,
  palette,
}: {
  boat: Other['boat'];
  x: number;
  y: number;
  heading: number;
  palette: Palette;
}) {
  const { points, fenders } = useMemo(() => {
    const { hull, fenders } = toBoatSpec(boat);
    const out: number[] = [];
    for (let i = 0; i < hull.deck.length; i += 2) out.push(hull.deck[i + 1]!, hull.deck[i]!);
    return { points: out, fenders };
  }, [boat]);
  return (
    <Group x={x} y={y} rotation={(-heading * 180) / Math.PI} listening={false}>
      <Line
        points={points}
        closed
        fill={palette.moored}
        stroke={palette.ink}
        strokeWidth={1.2}
        strokeScaleEnabled={false}
        lineJoin="round"
      />
      {fenders.map(({ name, x: ahead, y: across, diameter }) => (
        <Circle
          key={name}
          x={across}
          y={ahead}
          radius={diameter / 2}
          fill={palette.paper}
          stroke={palette.shore}
          strokeWidth={1}
          strokeScaleEnabled={false}
        />
      ))}
    </Group>
  );
});
