'use client';
import { line } from 'd3-shape';
import { Dialog } from 'radix-ui';
import { useMemo, useState } from 'react';
import type { GridCell } from '@/core/search';
import type { ManoeuvreFile, VariationDocument, Winds } from '@/document';
import { useGrid } from '../hooks/use-look';
import { useUnits } from '../state/preferences';
import { fit, type Box } from '../water/camera';
import { compassPoint, distance, speedFrom, windSpeed, type Units } from '../words/units';
import { outcomeWord } from '../words/outcome-heads';

const DIRECTIONS_DEG = [0, 45, 90, 135, 180, 225, 270, 315];
const SPEEDS_KN = [5, 10, 15, 20];
const WINDS: Winds = {
  from_deg: DIRECTIONS_DEG,
  speeds_mps: SPEEDS_KN.map((kn) => speedFrom(kn, 'kn')),
};
const CELL = { width: 96, height: 84 };

/** The manoeuvre in every wind of a grid, small beside one another: where it still goes well, and where not. */
export function GridSheet({
  file,
  variation,
  frame,
  onClose,
}: {
  file: ManoeuvreFile;
  /** The water shown in every cell, m. */
  frame: Box;
  variation: VariationDocument;
  onClose: () => void;
}) {
  const units = useUnits();
  const [stopped, setStopped] = useState(false);
  const cells = useGrid(stopped ? null : file, variation, WINDS);
  const all = DIRECTIONS_DEG.length * SPEEDS_KN.length;
  const busy = !stopped && cells.length < all;
  const good = cells.filter(({ run }) => run.outcome === 'reached').length;
  const button = 'min-h-9 border border-ink px-3 font-semibold hover:border-plan hover:text-plan';
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-paper/70" />
        <Dialog.Content className="fixed left-1/2 top-1/2 z-50 max-h-[94vh] max-w-[96vw] -translate-1/2 overflow-auto border border-ink bg-paper p-6 text-ink">
          <Dialog.Title className="text-[18px] font-bold">In other winds</Dialog.Title>
          <Dialog.Description className="pb-3 pt-1 text-[13px] text-quiet">
            The plan as it is written, with what the sliders change, in steady wind from eight
            sides. Under each its least clearance; struck through where it does not succeed.
          </Dialog.Description>
          <div className="flex items-center gap-3 pb-3" role="status">
            {busy ? (
              <>
                <progress value={cells.length} max={all} aria-label="Runs done" className="h-2" />
                <span className="figures">
                  {cells.length} of {all}
                </span>
                <button type="button" className={button} onClick={() => setStopped(true)}>
                  Stop
                </button>
              </>
            ) : (
              <span>
                {good} of {cells.length} succeed
                {cells.length < all ? `; stopped before the other ${all - cells.length}` : ''}
              </span>
            )}
          </div>
          <table className="border-collapse">
            <thead>
              <tr>
                <th className="pr-3 text-left text-[12.5px] font-normal text-quiet">wind from</th>
                {DIRECTIONS_DEG.map((from) => (
                  <th key={from} scope="col" className="figures pb-1 text-[13px] font-semibold">
                    {String(from).padStart(3, '0')}° {compassPoint(from)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {WINDS.speeds_mps.map((mps, row) => (
                <tr key={mps}>
                  <th
                    scope="row"
                    className="figures whitespace-nowrap pr-3 text-left text-[13px] font-semibold"
                  >
                    {windSpeed(mps, units)}
                  </th>
                  {DIRECTIONS_DEG.map((from, column) => {
                    const cell = cells[row * DIRECTIONS_DEG.length + column];
                    return (
                      <td key={from} className="border border-hairline p-0 align-top">
                        {cell ? (
                          <Cell cell={cell} from={from} file={file} frame={frame} units={units} />
                        ) : (
                          <div style={CELL} />
                        )}
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
          <div className="flex justify-end pt-4">
            <button type="button" className={button} onClick={onClose}>
              Close
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Cell({
  cell,
  from,
  file,
  frame,
  units,
}: {
  cell: GridCell;
  from: number;
  file: ManoeuvreFile;
  frame: Box;
  units: Units;
}) {
  const { run } = cell;
  const good = run.outcome === 'reached';
  const d = useMemo(() => {
    const { x, y } = run.trace;
    const plot = { width: CELL.width - 8, height: CELL.height - 26 };
    const { scale, x: middleX, y: middleY } = fit(frame, plot, 2);
    const sx = (east: number) => plot.width / 2 + (east - middleX) * scale;
    const sy = (north: number) => plot.height / 2 - (north - middleY) * scale;
    const points: [number, number][] = [];
    for (let i = 0; i < x.length; i += 5) points.push([sx(x[i]!), sy(y[i]!)]);
    const outlines = file.place.features.flatMap((feature) =>
      'outline_m' in feature
        ? [`M${feature.outline_m.map(([px, py]) => `${sx(px)} ${sy(py)}`).join('L')}Z`]
        : [],
    );
    const last = x.length - 1;
    return {
      track: line()(points) ?? '',
      place: outlines.join(''),
      end: [sx(x[last]!), sy(y[last]!)] as const,
    };
  }, [run, file, frame]);
  const clearance = run.margins.clearance;
  const words = good
    ? clearance
      ? distance(Math.max(0, clearance.distance), units)
      : 'clear'
    : outcomeWord(run.outcome).toLowerCase();
  return (
    <div style={CELL} className="relative overflow-hidden">
      <svg
        width={CELL.width - 8}
        height={CELL.height - 26}
        className="absolute left-1 top-1 overflow-hidden"
        role="img"
        aria-label={`wind from ${from}°: ${words}`}
      >
        <path d={d.place} className="fill-land stroke-quiet" strokeWidth="0.5" />
        <path
          d={d.track}
          fill="none"
          className={good ? 'stroke-plan' : 'stroke-hurt'}
          strokeWidth={good ? 1.4 : 2}
        />
        <circle cx={d.end[0]} cy={d.end[1]} r={2.5} className={good ? 'fill-plan' : 'fill-hurt'} />
      </svg>
      <p
        className={`figures absolute inset-x-1 bottom-0.5 truncate text-[12.5px] ${good ? '' : 'font-semibold text-hurt line-through decoration-1'}`}
      >
        {words}
      </p>
    </div>
  );
}
