'use client';
import { useEffect, useState } from 'react';
import { FileButton } from '../parts/FileButton';
import { LengthBox } from '../parts/LengthBox';
import { NumberBox } from '../parts/NumberBox';
import { alongLeg as along, legOf as exactLeg } from '@/core/math';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { legOf } from './leg';
import type { XY } from './snap';
import { usePlace, usePlaceStore } from './store';
import { fitted, type Picture } from './Underlay';

const KINDS = ['image/png', 'image/jpeg'];
const MOST_BYTES = 40_000_000;
/** A picture laid under is so wide until it is scaled, m. */
const FIRST_WIDE_M = 100;

/** A photograph or a scan laid under the plan and scaled by two points whose distance is known. */
export function PicturePanel({
  picture,
  onChange,
}: {
  picture: Picture | null;
  onChange: (picture: Picture | null) => void;
}) {
  const store = usePlaceStore();
  const tool = usePlace((s) => s.tool);
  const points = usePlace((s) => s.points);
  const [wrong, setWrong] = useState<string | null>(null);
  const [apart, setApart] = useState(10);
  const [bearing, setBearing] = useState<number | null>(null);
  const leg = points.length === 2 ? legOf(points[0]!, points[1]!) : null;
  const address = picture?.address;
  useEffect(() => () => void (address && URL.revokeObjectURL(address)), [address]);
  const lay = (file: File) => {
    if (!KINDS.includes(file.type)) return setWrong('take a PNG or a JPEG picture');
    if (file.size > MOST_BYTES) return setWrong('is larger than 40 MB; make it smaller first');
    const laid = URL.createObjectURL(file);
    const image = new Image();
    image.onload = () => {
      setWrong(null);
      onChange({
        address: laid,
        width: image.naturalWidth,
        height: image.naturalHeight,
        x: 0,
        y: 0,
        metresPerPixel: FIRST_WIDE_M / image.naturalWidth,
        turned_deg: 0,
      });
    };
    image.onerror = () => setWrong('cannot be read as a picture');
    image.src = laid;
  };
  const scale = () => {
    const [a, b] = points as [XY, XY];
    const was = exactLeg(a, b);
    const end = along(a, apart, bearing === null ? was.bearing : bearing / DEGREES_PER_RADIAN);
    const next = picture && was.length > 0 ? fitted(picture, [a, b], [a, end]) : null;
    if (!next) return setWrong('press two points apart');
    setWrong(null);
    onChange(next);
    setBearing(null);
    store.getState().setPoints([]);
  };
  return (
    <details className="rule-t py-2">
      <summary className="cursor-pointer font-semibold">A picture under it</summary>
      <p className="flex gap-4">
        <FileButton
          label="Picture file"
          accept="image/png,image/jpeg"
          className="text-plan underline"
          onFile={lay}
        >
          {picture ? 'Lay another' : 'Lay one under'}
        </FileButton>
        {picture && (
          <button type="button" className="text-plan underline" onClick={() => onChange(null)}>
            Remove it
          </button>
        )}
      </p>
      <p className="text-[13px] text-quiet">
        A PNG or JPEG; it stays in this window and is not kept with the place.
      </p>
      {wrong && (
        <p role="alert" className="font-semibold text-hurt">
          {wrong}
        </p>
      )}
      {picture && (
        <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
          <p className="w-full text-[13px] text-quiet">
            {tool.is === 'measure' && points.length === 2
              ? 'These two points are'
              : 'To scale it choose measure, press two points of the picture whose distance you know, and say it here:'}
          </p>
          <LengthBox label="apart" value={apart} least={0.5} most={5000} onChange={setApart} />
          <NumberBox
            label="second from first at"
            value={bearing ?? leg?.bearing ?? 0}
            unit="°"
            least={0}
            most={360}
            digits={1}
            onChange={setBearing}
          />
          <button
            type="button"
            className="text-plan underline disabled:text-quiet"
            disabled={tool.is !== 'measure' || points.length !== 2}
            onClick={scale}
          >
            Scale and turn it so
          </button>
        </div>
      )}
    </details>
  );
}
