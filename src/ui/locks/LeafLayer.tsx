'use client';
import { Line } from 'react-konva';
import { leafOutline, leavesOf } from '@/core/locks';
import { lockRecorded } from '@/core/simulation';
import type { Run } from '@/core/plan';
import { usePlayhead } from '../state/playhead';
import type { Palette } from '../theme/palette';
import { useWorkedLocks } from './use-worked';

/** Leaves of the locks that are worked, as they stand at the playhead; and a cill once it is out of the water. */
export function LeafLayer({ run, palette }: { run: Pick<Run, 'trace'> | null; palette: Palette }) {
  const locks = useWorkedLocks();
  const time = usePlayhead((p) => p.time);
  const states = locks.map((sited, k) =>
    run ? lockRecorded(run.trace, k, sited, time).state : sited.begins,
  );
  return leavesOf(locks).map((leaf) => {
    const sited = locks[leaf.lock]!;
    const state = states[leaf.lock]!;
    if (leaf.side === 'cill' && state.cillOut === 0) return null;
    const outline = new Float64Array(8);
    leafOutline(outline, sited, leaf, state);
    return (
      <Line
        key={`${leaf.lock} ${leaf.end} ${leaf.side}`}
        points={[...outline]}
        closed
        fill={leaf.side === 'cill' ? palette.land : palette.ink}
        stroke={palette.ink}
        strokeWidth={1}
        strokeScaleEnabled={false}
        listening={false}
      />
    );
  });
}
