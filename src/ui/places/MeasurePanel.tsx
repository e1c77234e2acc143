'use client';
import { useState } from 'react';
import { roomAbout, sweptAcross } from '@/core/search';
import { DEEP_M, depthOver } from '@/core/water';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { bottomOfPlace, toObstacles, type Place } from '@/document';
import { useUnits } from '../state/preferences';
import { depthText } from '../words/depth';
import { distance } from '../words/units';
import { FleetChoice } from './FleetChoice';
import { legOf } from './leg';
import type { XY } from './snap';
import { usePlace, type FleetOutline } from './store';

const three = (degrees: number) => String(Math.round(degrees)).padStart(3, '0');

/** Depth charted at a point, m; null where the place does not tell. */
function depthOf({ areas, features }: Place, [x, y]: XY): number | null {
  const soundings = features.filter((f) => f.kind === 'sounding');
  const bottom = bottomOfPlace(areas, soundings, undefined);
  const found = bottom ? depthOver(bottom, x, y) : DEEP_M;
  return found < DEEP_M ? found : null;
}

/** Distance, direction, depth, and the room there is, for a boat of the fleet as well. */
export function MeasurePanel({ fleet }: { fleet: readonly FleetOutline[] }) {
  const units = useUnits();
  const place = usePlace((s) => s.place);
  const points = usePlace((s) => s.points);
  const [boat, setBoat] = useState<FleetOutline | null>(null);
  const at = points.at(-1);
  if (!at) return <p className="text-quiet">Press a point; press another for how far it is.</p>;
  const leg = points.length > 1 ? legOf(points[0]!, at) : null;
  const room = roomAbout(toObstacles(place), at[0], at[1]);
  const across = room.clear !== null && room.clear > 0 ? 2 * room.clear : null;
  const depth = depthOf(place, at);
  const sweeps = boat && sweptAcross(Float64Array.from(boat.deck.flat()));
  const rows: [string, string][] = [];
  if (leg)
    rows.push(['from the first point', `${distance(leg.length, units)} at ${three(leg.bearing)}°`]);
  if (room.clear !== null)
    rows.push([`to ${room.nearest}`, room.clear > 0 ? distance(room.clear, units) : 'on it']);
  if (room.width)
    rows.push([
      'narrowest across here',
      `${distance(room.width.metres, units)} at ${three(room.width.bearing * DEGREES_PER_RADIAN)}°`,
    ]);
  if (across !== null) rows.push(['clear water round it, across', distance(across, units)]);
  if (depth !== null) rows.push(['depth at level 0', depthText(depth, units)]);
  if (boat && sweeps)
    rows.push([
      `${boat.name} on the spot sweeps`,
      `${distance(sweeps, units)}${across === null ? '' : across >= sweeps ? ', it fits' : ', no room'}`,
    ]);
  return (
    <>
      <FleetChoice
        words="room to turn for"
        none="nobody yet"
        fleet={fleet}
        chosen={boat}
        onChange={setBoat}
      />
      <dl className="grid grid-cols-[1fr_auto] gap-x-3" data-testid="measured">
        {rows.map(([what, figure]) => (
          <div key={what} className="contents">
            <dt className="text-quiet">{what}</dt>
            <dd className="figures text-right">{figure}</dd>
          </div>
        ))}
      </dl>
      {boat && (
        <p className="text-[13px] text-quiet">
          On the spot is the least there is; what a turn by bursts takes stands on the boat’s sheet.
        </p>
      )}
    </>
  );
}
