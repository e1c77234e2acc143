'use client';
import { clearWidth, slipsOf, type FingerRow, type Problem } from '@/document';
import { Choice } from '../parts/Choice';
import { useUnits } from '../state/preferences';
import { distance } from '../words/units';
import { LengthBox } from '../parts/LengthBox';
import { NumberBox } from '../parts/NumberBox';

/** A row as one paces it out: how many fingers, how far apart, how long, who lies there. */
export function RowPanel({
  row,
  problems,
  onChange,
  onPut,
}: {
  row: FingerRow;
  problems: readonly Problem[];
  onChange: (row: FingerRow) => void;
  onPut: () => void;
}) {
  const units = useUnits();
  const change = (part: Partial<FingerRow>) => onChange({ ...row, ...part });
  const slips = Array.from({ length: slipsOf(row) }, (_, i) => i + 1);
  const length = (key: 'pitch_m' | 'length_m' | 'width_m' | 'walkwayWidth_m', label: string) => (
    <LengthBox
      label={label}
      value={row[key]}
      least={{ pitch_m: 1.5, length_m: 1, width_m: 0.3, walkwayWidth_m: 0.5 }[key]}
      most={{ pitch_m: 60, length_m: 60, width_m: 8, walkwayWidth_m: 20 }[key]}
      onChange={(metres) => change({ [key]: metres })}
    />
  );
  return (
    <section aria-label="Row of fingers" className="flex flex-col gap-1.5">
      <p className="text-quiet">
        Press where the walkway begins, on the side of the fingers; it is shown before it is put.
      </p>
      <label>
        <span className="text-[13px] text-quiet">called </span>
        <input
          className="w-36"
          value={row.name}
          maxLength={60}
          onChange={(event) => change({ name: event.target.value })}
        />
      </label>
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        <LengthBox
          label="east"
          value={row.from_m[0]}
          least={-15000}
          most={15000}
          onChange={(x) => change({ from_m: [x, row.from_m[1]] })}
        />
        <LengthBox
          label="north"
          value={row.from_m[1]}
          least={-15000}
          most={15000}
          onChange={(y) => change({ from_m: [row.from_m[0], y] })}
        />
        <NumberBox
          label="runs"
          value={row.bearing_deg}
          unit="°"
          least={0}
          most={360}
          digits={1}
          onChange={(bearing_deg) => change({ bearing_deg })}
        />
        <span>
          <span className="text-[13px] text-quiet">fingers to </span>
          <Choice
            label="Side of the fingers"
            value={row.side}
            options={[
              { value: 'port', text: 'its left' },
              { value: 'starboard', text: 'its right' },
            ]}
            onChange={(side) => change({ side })}
          />
        </span>
        <NumberBox
          label="fingers"
          value={row.fingers}
          unit=""
          least={1}
          most={40}
          digits={0}
          onChange={(fingers) => change({ fingers: Math.round(fingers) })}
        />
        {length('pitch_m', 'middle to middle')}
        {length('length_m', 'finger long')}
        {length('width_m', 'wide')}
        <NumberBox
          label="leaning"
          value={row.lean_deg}
          unit="°"
          least={-60}
          most={60}
          digits={0}
          onChange={(lean_deg) => change({ lean_deg })}
        />
        {length('walkwayWidth_m', 'walkway wide')}
        <span>
          <span className="text-[13px] text-quiet">between two fingers </span>
          <Choice
            label="Boats between two fingers"
            value={String(row.boats) as '1' | '2'}
            options={[
              { value: '1', text: 'one boat' },
              { value: '2', text: 'two boats' },
            ]}
            onChange={(boats) => change({ boats: boats === '1' ? 1 : 2, occupied: [] })}
          />
        </span>
        <LengthBox
          label="boats long"
          value={row.boatLength_m}
          least={1}
          most={60}
          onChange={(boatLength_m) => change({ boatLength_m })}
        />
        <LengthBox
          label="beam"
          value={row.boatBeam_m}
          least={0.5}
          most={20}
          onChange={(boatBeam_m) => change({ boatBeam_m })}
        />
      </div>
      <p className="figures text-[13px]">
        {distance(Math.max(0, clearWidth(row)), units)} clear between fingers
      </p>
      <fieldset>
        <legend className="text-[13px] text-quiet">taken</legend>
        <div className="flex flex-wrap gap-x-3">
          {slips.map((slip) => (
            <label key={slip} className="figures flex min-h-8 items-center gap-1">
              <input
                type="checkbox"
                className="min-h-0"
                checked={row.occupied.includes(slip)}
                onChange={(event) =>
                  change({
                    occupied: event.target.checked
                      ? [...row.occupied, slip].sort((a, b) => a - b)
                      : row.occupied.filter((one) => one !== slip),
                  })
                }
              />
              {slip}
            </label>
          ))}
        </div>
      </fieldset>
      {problems.map(({ path, message }) => (
        <p key={path + message} role="alert" className="font-semibold text-hurt">
          {path}: {message}
        </p>
      ))}
      <p>
        <button
          type="button"
          className="min-h-9 border-2 border-ink px-3 font-semibold hover:border-plan hover:text-plan disabled:border-quiet disabled:text-quiet"
          disabled={problems.length > 0}
          onClick={onPut}
        >
          Put the row there
        </button>
      </p>
    </section>
  );
}
