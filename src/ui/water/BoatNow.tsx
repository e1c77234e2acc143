'use client';
import type { Take } from '@/core/score';
import { engineColumn, type MoreColumn } from '@/core/sim';
import type { toBoatSpec } from '@/document';
import { usePlayhead } from '../state/playhead';
import type { Palette } from '../theme/palette';
import { BoatShape, type Works } from './BoatShape';
import { readAt } from './sample';

function worksAt(
  take: Pick<Take, 'trace'>,
  spec: ReturnType<typeof toBoatSpec>,
  time: number,
): Works {
  const rudder = readAt(take, 'rudder', time);
  return {
    rudder,
    rps: spec.drives.map((_, i) => readAt(take, engineColumn('rps', i), time)),
    angles: spec.drives.map(({ steering }, i) =>
      steering === 'fixed'
        ? 0
        : steering === 'wheel'
          ? rudder
          : readAt(take, `angle${i + 1}` as MoreColumn, time),
    ),
    thrusters: spec.thrusters.map((_, i) => readAt(take, `thruster${i + 1}` as MoreColumn, time)),
  };
}

/** The boat where the playhead is. A part of its own, so that playing redraws nothing else. */
export function BoatNow({
  take,
  spec,
  palette,
}: {
  take: Pick<Take, 'trace'>;
  spec: ReturnType<typeof toBoatSpec>;
  palette: Palette;
}) {
  const time = usePlayhead((p) => p.time);
  return (
    <BoatShape
      spec={spec}
      palette={palette}
      x={readAt(take, 'x', time)}
      y={readAt(take, 'y', time)}
      heading={readAt(take, 'heading', time)}
      works={worksAt(take, spec, time)}
    />
  );
}
