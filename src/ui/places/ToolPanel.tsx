'use client';
import { useState } from 'react';
import { FleetChoice } from './FleetChoice';
import { kindWords } from './finish';
import { alongLeg } from './leg';
import { LengthBox } from '../parts/LengthBox';
import { MeasurePanel } from './MeasurePanel';
import { NumberBox } from '../parts/NumberBox';
import type { XY } from './snap';
import { usePlace, usePlaceStore, type FleetOutline, type Tool } from './store';

/** How the tool at hand is used, and its figures: everything can be typed that can be pointed. */
export function ToolPanel({
  put,
  close,
  fleet,
}: {
  fleet: readonly FleetOutline[];
  put: (at: XY) => void;
  /** Ends an outline. */
  close: () => void;
}) {
  const tool = usePlace((s) => s.tool);
  const points = usePlace((s) => s.points);
  const empty = usePlace(
    ({ place }) => place.features.length + place.areas.length + place.berths.length === 0,
  );
  const store = usePlaceStore();
  switch (tool.is) {
    case 'choose':
      return (
        <p className="text-quiet">
          {empty
            ? 'Nothing is drawn yet. Take a quay, a bank or a row of fingers and press its corners on the water; or lay a picture under it first and say how far apart two points of it are.'
            : 'Press a thing to choose it. What is chosen is moved by hand or by arrow keys, as a whole or by a corner.'}
        </p>
      );
    case 'outline':
    case 'area':
      return (
        <>
          <p className="pb-1 text-quiet">
            Press its corners round the edge; press the first or the last again, or Enter, to end.
          </p>
          <Typed put={put} last={points.at(-1) ?? null} />
          <p className="flex gap-4 pt-1">
            <button
              type="button"
              className="text-plan underline disabled:text-quiet"
              disabled={points.length < 3}
              onClick={close}
            >
              End the {kindWords(tool.kind)}
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
      return <BoatSize tool={tool} put={put} fleet={fleet} />;
    case 'berth':
      return (
        <>
          <p className="pb-1 text-quiet">
            Press the two ends of the edge a boat lies along, on a quay, pontoon or finger.
          </p>
          <Typed put={put} last={points.at(-1) ?? null} />
        </>
      );
    case 'transit':
      return <p className="text-quiet">Press the nearer mark, then the one behind it.</p>;
    case 'measure':
      return <MeasurePanel fleet={fleet} />;
    case 'row':
      return null;
  }
}

function BoatSize({
  tool,
  put,
  fleet,
}: {
  tool: Extract<Tool, { is: 'boat' }>;
  put: (at: XY) => void;
  fleet: readonly FleetOutline[];
}) {
  const store = usePlaceStore();
  const change = (part: Partial<typeof tool>) => store.setState({ tool: { ...tool, ...part } });
  return (
    <>
      <p className="pb-1 text-quiet">Press where the boat’s middle lies.</p>
      <FleetChoice
        words="the boat is"
        none="of this size"
        fleet={fleet}
        chosen={tool.boat ?? null}
        onChange={(boat) => {
          const { boat: _before, ...rest } = tool;
          store.setState({ tool: boat ? { ...rest, boat } : rest });
        }}
      />
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        {!tool.boat && (
          <>
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
          </>
        )}
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
