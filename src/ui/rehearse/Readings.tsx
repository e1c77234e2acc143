'use client';
import { transitNow, type DriveNow, type TransitNow } from '@/core/drive';
import { UNDER_TOLD_M, ON_TRANSIT_M, HOLDS_TRANSIT_MPS } from '@/core/policy';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { useUnits } from '../state/preferences';
import { distance, heading, speedIn, touchSpeed, type Units } from '../words/units';
import { useHelmPreferences } from './preferences';
import { useLive, useLiveState } from './use-live';

const side = (value: number, digits: number) =>
  Number(value.toFixed(digits)) === 0 ? '' : value < 0 ? ' port' : ' stbd';

function figures(now: DriveNow, units: Units): (readonly [string, string])[] {
  const unit = units.speed;
  const last = now.trace.time.length - 1;
  const at = (column: 'surge' | 'sway' | 'yawRate' | 'heading' | 'groundSpeed') =>
    now.trace[column][last]!;
  const speed = (mps: number) => speedIn(mps, unit).toFixed(2).replace('-0.00', '0.00');
  const turn = at('yawRate') * DEGREES_PER_RADIAN;
  const across = at('sway');
  const under = now.trace.underKeel?.[last];
  return [
    ['through the water', `${speed(at('surge'))} ${unit}`],
    ['sideways', `${speed(Math.abs(across))} ${unit}${side(speedIn(across, unit), 2)}`],
    ['over ground', `${speed(at('groundSpeed'))} ${unit}`],
    ['heading', heading(at('heading'))],
    ['turning', `${Math.abs(turn).toFixed(1)}°/s${side(turn, 1)}`],
    ...(under !== undefined && under < UNDER_TOLD_M
      ? [['water under the boat', under < 0 ? 'aground' : distance(under, units)] as const]
      : []),
  ];
}

/** What the helm may read off: speeds to the hundredth, heading, rate of turn. */
export function Readings() {
  const units = useUnits();
  const on = useHelmPreferences((p) => p.aids.figures);
  const now = useLiveState((s) => s.now);
  if (!now) return null;
  return (
    <>
      {on && (
        <dl className="grid grid-cols-[1fr_auto] gap-x-4" data-testid="readings">
          {figures(now, units).map(([what, figure]) => (
            <div key={what} className="contents">
              <dt className="text-quiet">{what}</dt>
              <dd className="figures text-right text-[17px] leading-6">{figure}</dd>
            </div>
          ))}
        </dl>
      )}
      <TransitHeld />
      <IfNothing />
    </>
  );
}

function transitWords({ off, rate, open }: TransitNow, units: Units): string {
  const right = off > 0;
  const degrees = Math.abs(open * DEGREES_PER_RADIAN).toFixed(1);
  const stands =
    Math.abs(off) < ON_TRANSIT_M
      ? 'in line'
      : `open ${degrees}° to the ${open > 0 ? 'right' : 'left'}: ${distance(Math.abs(off), units)} ${right ? 'right' : 'left'} of the line`;
  const going =
    Math.abs(rate) < HOLDS_TRANSIT_MPS
      ? 'holding'
      : `${Math.abs(off) >= ON_TRANSIT_M && rate > 0 !== right ? 'coming back' : `going ${rate > 0 ? 'right' : 'left'}`} at ${speedIn(Math.abs(rate), units.speed).toFixed(2)} ${units.speed}`;
  return `${stands}, ${going}`;
}

/** Two things in line, and whether the boat holds them so. */
function TransitHeld() {
  const live = useLive();
  const units = useUnits();
  const on = useHelmPreferences((p) => p.aids.transit);
  const transit = useLiveState((s) => s.transit);
  const eye = useLiveState((s) => s.now?.eye);
  const going = useLiveState((s) => s.status !== 'over' && s.status !== 'opening');
  if (!on || !eye || !going) return null;
  return (
    <div className="pt-1 text-[13px]" data-testid="transit">
      {transit && (
        <p>
          {transit.far.name} over {transit.near.name}:{' '}
          <span className="figures font-semibold">
            {transitWords(transitNow(transit, eye, eye), units)}
          </span>
        </p>
      )}
      {transit === false && (
        <p className="text-quiet">Nothing is in line from here, one behind the other.</p>
      )}
      <button type="button" className="text-plan underline" onClick={() => live.takeTransit()}>
        {transit ? 'Take the next transit' : 'Take a transit'}
      </button>
    </div>
  );
}

/** What the boat comes to touch if nothing is changed. */
function IfNothing() {
  const on = useHelmPreferences((p) => p.aids.ahead);
  const touch = useLiveState((s) => (s.status === 'over' ? null : s.ahead?.touch)) ?? null;
  if (!on || !touch) return null;
  const hurts = touch.grade !== 'soft';
  return (
    <p className={`text-[13px] ${hurts ? 'font-semibold text-hurt' : 'text-quiet'}`}>
      {hurts ? '▲ ' : ''}as the boat goes: {touch.part ? `${touch.part} on ` : 'into '}
      {touch.name} in {Math.round(touch.after)} s, {touchSpeed(touch.speed)}
    </p>
  );
}
