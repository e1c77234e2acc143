'use client';
import type { Run } from '@/core/plan';
import type { toBoatSpec } from '@/document';
import { usePlayhead } from '../state/playhead';
import type { Palette } from '../theme/palette';
import { BoatShape, type Works } from './BoatShape';
import { readAt } from './sample';

function worksAt(
  run: Pick<Run, 'trace'>,
  spec: ReturnType<typeof toBoatSpec>,
  time: number,
): Works {
  const rudder = readAt(run, 'rudder', time);
  return {
    rudder,
    rps: spec.drives.map((_, i) => readAt(run, run.trace.engines[i]?.rps, time)),
    angles: spec.drives.map(({ steering }, i) =>
      steering === 'fixed'
        ? 0
        : steering === 'wheel'
          ? rudder
          : readAt(run, run.trace.engines[i]?.angle, time),
    ),
    thrusters: spec.thrusters.map((_, i) => readAt(run, run.trace.thrusters[i], time)),
  };
}

/** The boat where the playhead is. A part of its own, so that playing redraws nothing else. */
export function BoatNow({
  run,
  spec,
  palette,
}: {
  run: Pick<Run, 'trace'>;
  spec: ReturnType<typeof toBoatSpec>;
  palette: Palette;
}) {
  const time = usePlayhead((p) => p.time);
  return (
    <BoatShape
      spec={spec}
      palette={palette}
      x={readAt(run, 'x', time)}
      y={readAt(run, 'y', time)}
      heading={readAt(run, 'heading', time)}
      works={worksAt(run, spec, time)}
    />
  );
}
