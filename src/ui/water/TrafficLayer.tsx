'use client';
import { Group, Line } from 'react-konva';
import type { Palette } from '../theme/palette';

export interface TrafficShown {
  readonly name: string;
  readonly kind: 'boat' | 'paddler';
  /** m ahead of its middle and to starboard. */
  readonly outline: Float64Array;
  readonly x: number;
  readonly y: number;
  readonly heading: number;
  /** Does it move? Who lies still is drawn as whatever lies still. */
  readonly moves: boolean;
}

/** Others under way: drawn heavier than what lies still. */
export function TrafficLayer({
  traffic,
  palette,
}: {
  traffic: readonly TrafficShown[];
  palette: Palette;
}) {
  return traffic.map(({ name, kind, outline, x, y, heading, moves }, i) => (
    <Group key={`${name}-${i}`} x={x} y={y} rotation={(-heading * 180) / Math.PI} listening={false}>
      <Line
        points={flipped(outline)}
        closed
        fill={kind === 'paddler' ? palette.hurtFill : palette.moored}
        stroke={moves ? palette.ink : palette.shore}
        strokeWidth={moves ? 2.2 : 1}
        strokeScaleEnabled={false}
        lineJoin="round"
      />
    </Group>
  ));
}

/** Ahead is up in the layer, starboard to the right. */
function flipped(outline: Float64Array): number[] {
  const points: number[] = [];
  for (let i = 0; i < outline.length; i += 2) points.push(outline[i + 1]!, outline[i]!);
  return points;
}

/** Ids of what lay on the place and is under way now. */
export function goneFrom(
  traffic: readonly { readonly replaces: string | null }[],
): ReadonlySet<string> {
  return new Set(traffic.flatMap(({ replaces }) => replaces ?? []));
}
