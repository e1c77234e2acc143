'use client';
import { memo } from 'react';
import { Arrow, Group, Line } from 'react-konva';
import type { BoatSpec } from '@/core/boat';
import { DRIFT_SHOWN_S, DRIFT_SHOWN_MPS } from '@/core/policy';
import { usePlayhead } from '../state/playhead';
import type { Palette } from '../theme/palette';
import { readAt } from '../water/sample';
import { deckAt } from '../water/sweep';
import type { LiveRun } from './live-state';
import { useHelmPreferences } from './preferences';
import { useLiveState } from './use-live';

const flat = (ring: readonly (readonly [number, number])[]) => ring.flatMap(([x, y]) => [x, y]);

/** The boat's outline in ten, twenty and thirty seconds if nothing is changed, the fainter the further off. */
export const AheadOutlines = memo(function AheadOutlines({
  spec,
  palette,
}: {
  spec: BoatSpec;
  palette: Palette;
}) {
  const on = useHelmPreferences((p) => p.aids.ahead);
  const ahead = useLiveState((s) => s.ahead);
  const status = useLiveState((s) => s.status);
  if (!on || !ahead || status === 'over') return null;
  return (
    <Group listening={false}>
      {ahead.poses.map(({ after, x, y, heading }, i) => (
        <Line
          key={after}
          points={flat(deckAt(spec.hull.deck, x, y, heading))}
          closed
          stroke={ahead.touch && ahead.touch.after <= after ? palette.hurtFill : palette.plan}
          strokeWidth={1.6 - 0.4 * i}
          dash={[6 - i, 3 + i]}
          strokeScaleEnabled={false}
        />
      ))}
    </Group>
  );
});

/** Where the boat goes over the ground: as far as in five seconds. */
export function DriftArrow({ recent, palette }: { recent: LiveRun; palette: Palette }) {
  const on = useHelmPreferences((p) => p.aids.drift);
  const time = usePlayhead((p) => p.time);
  if (!on) return null;
  const { trace } = recent;
  const last = trace.time.length - 1;
  if (last < 1) return null;
  const dt = trace.time[last]! - trace.time[last - 1]!;
  if (!(dt > 0)) return null;
  const east = (trace.x[last]! - trace.x[last - 1]!) / dt;
  const north = (trace.y[last]! - trace.y[last - 1]!) / dt;
  if (Math.hypot(east, north) < DRIFT_SHOWN_MPS) return null;
  const x = readAt(recent, 'x', time);
  const y = readAt(recent, 'y', time);
  return (
    <Arrow
      points={[x, y, x + DRIFT_SHOWN_S * east, y + DRIFT_SHOWN_S * north]}
      stroke={palette.plan}
      fill={palette.plan}
      strokeWidth={2}
      pointerLength={0.5}
      pointerWidth={0.5}
      strokeScaleEnabled={false}
      listening={false}
    />
  );
}

/** Where the plan, played, would have the boat at this moment. */
export function Ghost({
  run,
  spec,
  palette,
}: {
  run: Pick<LiveRun, 'trace'>;
  spec: BoatSpec;
  palette: Palette;
}) {
  const time = usePlayhead((p) => p.time);
  return (
    <Line
      points={flat(
        deckAt(
          spec.hull.deck,
          readAt(run, 'x', time),
          readAt(run, 'y', time),
          readAt(run, 'heading', time),
        ),
      )}
      closed
      stroke={palette.quiet}
      strokeWidth={1.4}
      dash={[2, 3]}
      strokeScaleEnabled={false}
      listening={false}
    />
  );
}
