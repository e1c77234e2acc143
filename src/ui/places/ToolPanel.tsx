'use client';
import { useState } from 'react';
import { roomAbout } from '@/core/search';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { toObstacles } from '@/document';
import { useUnits } from '../state/preferences';
import { distance } from '../words/units';
import { kindWords } from './finish';
import { alongLeg, legOf } from './leg';
import { LengthBox } from './LengthBox';
import { NumberBox } from './NumberBox';
import type { XY } from './snap';
import { usePlace, usePlaceStore, type Tool } from './store';

/** How the tool at hand is used, and its figures: everything can be typed that can be pointed. */
export function ToolPanel({
  put,
  close,
}: {
  put: (at: XY) => void;
  /** Ends an outline. */
  close: () => void;
}) {
  const tool = usePlace((s) => s.tool);
  const points = usePlace((s) => s.points);
  const store = usePlaceStore();
  switch (tool.is) {
    case 'choose':
      return (
        <p className="text-quiet">
          Press a thing to choose it. What is chosen is moved by hand or by arrow keys, as a whole
          or by a corner.
        </p>
      );
    case 'outline':
      return (
        <>
          <p className="pb-1 text-quiet">
            Press its corners round the edge; press the first again, or Enter, to end.
          </p>
          <Typed put={put} last={points.at(-1) ?? null} />
          <p className="flex gap-4 pt-1">
            <button
              type="button"
              className="text-plan underline disabled:text-quiet"
              disabled={points.length < 3}
              onClick={close}
            >
              End the {tool.kind}
            </button>
            <button
              type="button"
              className="text-plan underline disabled:text-quiet"
              disabled={points.length === 0}
              onClick={() => store.getState().setPoints(points.slice(0, -1))}
            >
              Take the last corner back
            </button>
          </p>
        </>
      );
    case 'spot':
      return (
        <>
          <p className="pb-1 text-quiet">
            Press where a {kindWords(tool.kind)} stands; press again for the next.
          </p>
          <Typed put={put} last={null} />
        </>
      );
    case 'boat':
      return <BoatSize tool={tool} put={put} />;
    case 'berth':
      return (
        <>
          <p className="pb-1 text-quiet">
            Press the two ends of the edge a boat lies along, on a quay, pontoon or finger.
          </p>
          <Typed put={put} last={points.at(-1) ?? null} />
        </>
      );
    case 'measure':
      return <Measured />;
    case 'row':
      return null;
  }
}

function BoatSize({ tool, put }: { tool: Extract<Tool, { is: 'boat' }>; put: (at: XY) => void }) {
  const store = usePlaceStore();
  const change = (part: Partial<typeof tool>) => store.setState({ tool: { ...tool, ...part } });
  return (
    <>
      <p className="pb-1 text-quiet">Press where her middle lies.</p>
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        <LengthBox
          label="length"
          value={tool.length}
          least={1}
          most={60}
          onChange={(length) => change({ length })}
        />
        <LengthBox
          label="beam"
          value={tool.beam}
          least={0.5}
          most={20}
          onChange={(beam) => change({ beam })}
        />
        <NumberBox
          label="bow to"
          value={tool.heading}
          unit="°"
          least={0}
          most={360}
          digits={0}
          onChange={(heading) => change({ heading })}
        />
      </div>
      <Typed put={put} last={null} />
    </>
  );
}

/** A point typed: so far and in which direction from the last, or so far east and north. */
function Typed({ put, last }: { put: (at: XY) => void; last: XY | null }) {
  const [far, setFar] = useState(10);
  const [bearing, setBearing] = useState(90);
  const [east, setEast] = useState(0);
  const [north, setNorth] = useState(0);
  return (
    <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
      {last ? (
        <>
          <LengthBox label="next, off" value={far} least={0.1} most={2000} onChange={setFar} />
          <NumberBox
            label="at"
            value={bearing}
            unit="°"
            least={0}
            most={360}
            digits={1}
            onChange={setBearing}
          />
        </>
      ) : (
        <>
          <LengthBox label="east" value={east} least={-15000} most={15000} onChange={setEast} />
          <LengthBox label="north" value={north} least={-15000} most={15000} onChange={setNorth} />
        </>
      )}
      <button
        type="button"
        className="text-plan underline"
        onClick={() => put(last ? alongLeg(last, far, bearing) : [east, north])}
      >
        Put it there
      </button>
    </div>
  );
}

/** Distance, direction, and the room there is. */
function Measured() {
  const units = useUnits();
  const place = usePlace((s) => s.place);
  const points = usePlace((s) => s.points);
  const at = points.at(-1);
  if (!at) return <p className="text-quiet">Press a point; press another for how far it is.</p>;
  const leg = points.length > 1 ? legOf(points[0]!, at) : null;
  const room = roomAbout(toObstacles(place), at[0], at[1]);
  return (
    <dl className="grid grid-cols-[1fr_auto] gap-x-3" data-testid="measured">
      {leg && (
        <>
          <dt className="text-quiet">from the first point</dt>
          <dd className="figures text-right">
            {distance(leg.length, units)} at {String(leg.bearing).padStart(3, '0')}°
          </dd>
        </>
      )}
      {room.clear !== null && (
        <>
          <dt className="text-quiet">to {room.nearest}</dt>
          <dd className="figures text-right">
            {room.clear > 0 ? distance(room.clear, units) : 'on it'}
          </dd>
        </>
      )}
      {room.width && (
        <>
          <dt className="text-quiet">narrowest across here</dt>
          <dd className="figures text-right">
            {distance(room.width.metres, units)} at{' '}
            {String(Math.round(room.width.bearing * DEGREES_PER_RADIAN)).padStart(3, '0')}°
          </dd>
        </>
      )}
      {room.clear !== null && room.clear > 0 && (
        <>
          <dt className="text-quiet">clear water round it, across</dt>
          <dd className="figures text-right">{distance(2 * room.clear, units)}</dd>
        </>
      )}
    </dl>
  );
}
