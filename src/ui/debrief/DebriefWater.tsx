'use client';
import { Group, Layer, Line } from 'react-konva';
import { useMemo } from 'react';
import { toBoatSpec, withFenders } from '@/document';
import type { Traffic } from '@/core/drive';
import { useWorkspace } from '../state/context';
import { usePreferences } from '../state/preferences';
import { PALETTES } from '../theme/palette';
import { AtPlayhead } from '../water/AtPlayhead';
import { takeExtent } from '../water/extent';
import { HurtMarks } from '../water/HurtMarks';
import { goneFrom } from '../water/TrafficLayer';
import { TakeLayer } from '../water/TakeLayer';
import { WaterFrame } from '../water/WaterFrame';
import type { OpenReview } from './use-takes';

const NOBODY: readonly Traffic[] = [];
const DASHES = [
  [9, 4],
  [4, 3],
  [12, 3, 2, 3],
  [2, 3],
] as const;

/** A driven take on the water where it was driven, with the tracks of those laid over it. */
export function DebriefWater({
  open,
  laid,
}: {
  open: OpenReview | null;
  laid: readonly OpenReview[];
}) {
  const now = useWorkspace((s) => s.manoeuvre);
  const place = useWorkspace((s) => s.place);
  const boatNow = useWorkspace((s) => s.boat);
  const palette = PALETTES[usePreferences((p) => p.theme)];
  // As it was when it was driven: the manoeuvre may have been changed since.
  const boat = open?.file.manoeuvre.boat ?? boatNow;
  const score = open?.file.manoeuvre.score ?? now.score;
  const others = open?.file.manoeuvre.others ?? now.others;
  const spec = useMemo(() => toBoatSpec(withFenders(boat, score.fenders)), [boat, score.fenders]);
  const take = open?.reviewed.take ?? null;
  const gone = useMemo(() => goneFrom(open?.reviewed.traffic ?? []), [open]);
  const extent = useMemo(() => takeExtent(now, boat, place, take), [now, boat, place, take]);
  return (
    <WaterFrame
      key={open?.id ?? 'none'}
      opening={extent}
      home={extent}
      gone={gone}
      take={take}
      named={() => ({ others, score, goal: now.goal })}
      drawn={(_camera, origin) => (
        <>
          {take && (
            <Layer listening={false}>
              <Group {...origin}>
                <TakeLayer take={take} spec={spec} palette={palette} pointed={null} />
                {laid.map(({ id, reviewed }, i) => (
                  <Track
                    key={id}
                    take={reviewed.take}
                    dash={DASHES[i % DASHES.length]!}
                    ink={palette.ink}
                  />
                ))}
              </Group>
            </Layer>
          )}
          <AtPlayhead
            take={take}
            boat={boat}
            spec={spec}
            score={score}
            others={others}
            traffic={open?.reviewed.traffic ?? NOBODY}
            palette={palette}
            origin={origin}
          />
        </>
      )}
      over={(camera, view) => take && <HurtMarks take={take} camera={camera} view={view} />}
    />
  );
}

function Track({
  take,
  dash,
  ink,
}: {
  take: OpenReview['reviewed']['take'];
  dash: readonly number[];
  ink: string;
}) {
  const points = useMemo(() => {
    const { x, y } = take.trace;
    const flat: number[] = [];
    for (let i = 0; i < x.length; i += 3) flat.push(x[i]!, y[i]!);
    return flat;
  }, [take]);
  return (
    <Line
      points={points}
      stroke={ink}
      strokeWidth={1.4}
      dash={[...dash]}
      strokeScaleEnabled={false}
    />
  );
}
