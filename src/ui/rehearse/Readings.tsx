'use client';
import type { DriveNow } from '@/core/drive';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { useUnits } from '../state/preferences';
import { heading, speedIn, touchSpeed } from '../words/units';
import { useHelmPreferences } from './preferences';
import { useLiveState } from './use-live';

const side = (value: number, digits: number) =>
  Number(value.toFixed(digits)) === 0 ? '' : value < 0 ? ' port' : ' stbd';

function figures(now: DriveNow, unit: 'kn' | 'm/s') {
  const last = now.trace.time.length - 1;
  const at = (column: 'surge' | 'sway' | 'yawRate' | 'heading' | 'groundSpeed') =>
    now.trace[column][last]!;
  const speed = (mps: number) => speedIn(mps, unit).toFixed(2).replace('-0.00', '0.00');
  const turn = at('yawRate') * DEGREES_PER_RADIAN;
  const across = at('sway');
  return [
    ['through the water', `${speed(at('surge'))} ${unit}`],
    ['sideways', `${speed(Math.abs(across))} ${unit}${side(speedIn(across, unit), 2)}`],
    ['over ground', `${speed(at('groundSpeed'))} ${unit}`],
    ['heading', heading(at('heading'))],
    ['turning', `${Math.abs(turn).toFixed(1)}°/s${side(turn, 1)}`],
  ] as const;
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
          {figures(now, units.speed).map(([what, figure]) => (
            <div key={what} className="contents">
              <dt className="text-quiet">{what}</dt>
              <dd className="figures text-right text-[17px] leading-6">{figure}</dd>
            </div>
          ))}
        </dl>
      )}
      <IfNothing />
    </>
  );
}

/** What she comes to touch if nothing is changed. */
function IfNothing() {
  const on = useHelmPreferences((p) => p.aids.ahead);
  const touch = useLiveState((s) => (s.status === 'over' ? null : s.ahead?.touch)) ?? null;
  if (!on || !touch) return null;
  const hurts = touch.grade !== 'soft';
  return (
    <p className={`text-[13px] ${hurts ? 'font-semibold text-hurt' : 'text-quiet'}`}>
      {hurts ? '▲ ' : ''}as she goes: {touch.part ? `${touch.part} on ` : 'into '}
      {touch.name} in {Math.round(touch.after)} s, {touchSpeed(touch.speed)}
    </p>
  );
}
