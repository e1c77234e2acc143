'use client';
import { useMemo, type ReactNode } from 'react';
import { Group, Layer } from 'react-konva';
import { isUnderWay, trafficAt, type Traffic } from '@/core/drive';
import type { BoatSpec } from '@/core/boat';
import type { Run } from '@/core/plan';
import { breakingLoads, type Boat, type Other, type PlanDocument } from '@/document';
import { LeafLayer } from '../locks/LeafLayer';
import { usePlayhead } from '../state/playhead';
import type { Palette } from '../theme/palette';
import { BoatNow } from './BoatNow';
import { LineLayer } from './LineLayer';
import { OtherBoats } from './OtherBoats';
import { TrafficLayer } from './TrafficLayer';
import type { Origin } from './use-camera';

const NOBODY: readonly Traffic[] = [];

/** Everything that moves, at the playhead: the boat with its lines and people, the other boats, others under way. */
export function AtPlayhead({
  run,
  boat,
  spec,
  plan,
  others,
  traffic = NOBODY,
  palette,
  origin,
  under,
  over,
}: {
  /** The record looked at, or as much of it as is known; null while there is none. */
  run: Pick<Run, 'trace' | 'events'> | null;
  boat: Boat;
  /** The same boat as the core has it. */
  spec: BoatSpec;
  plan: Pick<PlanDocument, 'lines' | 'crew'>;
  others: readonly Other[];
  traffic?: readonly Traffic[];
  palette: Palette;
  origin: Origin;
  /** Drawn under the boats, and over the boat's. */
  under?: ReactNode;
  over?: ReactNode;
}) {
  const { lines } = plan;
  const breaks = useMemo(
    () => breakingLoads(lines, { boat, others: [...others] }),
    [lines, boat, others],
  );
  return (
    <Layer listening={false}>
      <Group {...origin}>
        <LeafLayer run={run} palette={palette} />
        {under}
        <OtherBoats others={others} run={run} palette={palette} />
        {traffic.length > 0 && <UnderWay traffic={traffic} palette={palette} />}
        {run && <BoatNow run={run} spec={spec} palette={palette} />}
        {over}
        {run && (
          <LineLayer
            run={run}
            spec={spec}
            plan={plan}
            others={[...others]}
            breaks={breaks}
            palette={palette}
            scale={origin.scaleX}
          />
        )}
      </Group>
    </Layer>
  );
}

/** Others under way where they are by then. */
function UnderWay({ traffic, palette }: { traffic: readonly Traffic[]; palette: Palette }) {
  const time = usePlayhead((p) => p.time);
  return (
    <TrafficLayer
      traffic={traffic.map((one) => ({
        ...one,
        ...trafficAt(one, time),
        moves: isUnderWay(one, time),
      }))}
      palette={palette}
    />
  );
}
