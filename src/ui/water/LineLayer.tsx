'use client';
import { Circle, Group, Line } from 'react-konva';
import type { BoatSpec } from '@/core/boat';
import type { Run } from '@/core/plan';
import { WORKING_LOAD } from '@/core/policy';
import type { PoseColumns } from '@/core/simulation';
import { namedPoints, type Manoeuvre, type PlanDocument } from '@/document';
import { linesAt, peopleAt, type LineAt } from '../lines/line-at';
import { usePlayhead } from '../state/playhead';
import type { Palette } from '../theme/palette';
import { readAt } from './sample';

interface DrawnPose {
  readonly x: number;
  readonly y: number;
  readonly sin: number;
  readonly cos: number;
}

const onPlace = ({ x, y, sin, cos }: DrawnPose, bx: number, by: number) => ({
  x: x + bx * sin + by * cos,
  y: y + bx * cos - by * sin,
});

/** How far a slack line is drawn out of the straight, m: half of what all its slack laid sideways would make. */
function sag(span: number, length: number): number {
  if (length <= span) return 0;
  return Math.min(0.3 * span, 0.5 * Math.sqrt((3 / 8) * span * (length - span)));
}

/** A line between two points: straight and the heavier the more it carries; hanging out while it is slack. */
function Rope({
  from,
  line,
  breaks,
  palette,
  scale,
}: {
  from: { x: number; y: number };
  line: LineAt;
  breaks: number;
  palette: Palette;
  scale: number;
}) {
  if (!line.end) {
    // In the water or in a hand: a short end at the cleat.
    const length = line.state === 'trailing' ? Math.min(line.length, 3) : 0;
    if (length === 0) return null;
    return (
      <Line
        points={[from.x, from.y, from.x + length * 0.4, from.y - length * 0.7]}
        stroke={palette.hurtFill}
        strokeWidth={1.6}
        dash={[3, 3]}
        strokeScaleEnabled={false}
      />
    );
  }
  const { end } = line;
  const dx = end.x - from.x;
  const dy = end.y - from.y;
  const span = Math.hypot(dx, dy);
  const hang = sag(span, line.length);
  const over = span > 0 ? hang / span : 0;
  const share = line.tension / breaks;
  const heavy = share > WORKING_LOAD;
  return (
    <>
      <Line
        points={[
          from.x,
          from.y,
          (from.x + end.x) / 2 + dy * over,
          (from.y + end.y) / 2 - dx * over,
          end.x,
          end.y,
        ]}
        tension={hang > 0 ? 0.5 : 0}
        stroke={heavy ? palette.hurtFill : palette.ink}
        strokeWidth={1.1 + 9 * Math.min(0.6, share)}
        dash={line.state === 'fast' ? [] : [6, 3]}
        strokeScaleEnabled={false}
        lineCap="round"
      />
      <Circle x={end.x} y={end.y} radius={2.6 / scale} fill={palette.ink} />
    </>
  );
}

/** Lines and people at the playhead. */
export function LineLayer({
  run,
  spec,
  plan,
  others,
  breaks,
  palette,
  scale,
}: {
  run: Pick<Run, 'trace' | 'events'>;
  spec: BoatSpec;
  plan: Pick<PlanDocument, 'lines' | 'crew'>;
  others: Manoeuvre['others'];
  /** What each line parts at, N. */
  breaks: readonly number[];
  palette: Palette;
  scale: number;
}) {
  const time = usePlayhead((p) => p.time);
  if (plan.lines.length === 0 && plan.crew.length === 0) return null;
  const poseOf = ({ x, y, heading }: PoseColumns): DrawnPose => {
    const turned = readAt(run, heading, time);
    return {
      x: readAt(run, x, time),
      y: readAt(run, y, time),
      sin: Math.sin(turned),
      cos: Math.cos(turned),
    };
  };
  const pose = poseOf(run.trace);
  /** Where a line leaves the boat it is of, m. */
  const fairlead = ({ of, from }: PlanDocument['lines'][number]) => {
    const other = others.findIndex(({ name }) => name === of);
    const points = other < 0 ? spec.points : namedPoints(others[other]!.boat);
    const point = points.find(({ name }) => name === from);
    const theirs = run.trace.others[other];
    return point && onPlace(theirs ? poseOf(theirs) : pose, point.x, point.y);
  };
  return (
    <Group listening={false}>
      {linesAt(run, plan.lines, time).map((line) => {
        const from = fairlead(plan.lines[line.index]!);
        if (!from) return null;
        return (
          <Rope
            key={line.name}
            from={from}
            line={line}
            breaks={breaks[line.index] ?? Infinity}
            palette={palette}
            scale={scale}
          />
        );
      })}
      {peopleAt(run, plan.crew, time).map((person) => {
        const at = person.aboard ? onPlace(pose, person.x, person.y) : person;
        return (
          <Circle
            key={person.name}
            x={at.x}
            y={at.y}
            radius={Math.max(0.28, 4.5 / scale)}
            fill={palette.paper}
            stroke={palette.plan}
            strokeWidth={2}
            strokeScaleEnabled={false}
          />
        );
      })}
    </Group>
  );
}
