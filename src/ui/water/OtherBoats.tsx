'use client';
import { memo, useMemo } from 'react';
import { Group, Line } from 'react-konva';
import type { Take } from '@/core/score';
import { otherColumns } from '@/core/sim';
import { radians, wholeOutline, type Other } from '@/document';
import { usePlayhead } from '../state/playhead';
import type { Palette } from '../theme/palette';
import { readAt } from './sample';

/** The other boats where they lie at the playhead; where they are put while no take tells. */
export function OtherBoats({
  others,
  take,
  palette,
}: {
  others: readonly Other[];
  take: Take | null;
  palette: Palette;
}) {
  const time = usePlayhead((p) => p.time);
  return others.map((other, i) => {
    const [x, y, heading] = otherColumns(i);
    const told = take?.trace[x] !== undefined;
    return (
      <Hull
        key={other.id}
        deck={other.boat.hull.deck}
        palette={palette}
        x={told ? readAt(take, x, time) : other.start.x_m}
        y={told ? readAt(take, y, time) : other.start.y_m}
        heading={told ? readAt(take, heading, time) : radians(other.start.heading_deg)}
      />
    );
  });
}

const Hull = memo(function Hull({
  deck,
  x,
  y,
  heading,
  palette,
}: {
  deck: Other['boat']['hull']['deck'];
  x: number;
  y: number;
  heading: number;
  palette: Palette;
}) {
  const points = useMemo(() => {
    const ring = wholeOutline(deck);
    const out: number[] = [];
    for (let i = 0; i < ring.length; i += 2) out.push(ring[i + 1]!, ring[i]!);
    return out;
  }, [deck]);
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
    </Group>
  );
});
