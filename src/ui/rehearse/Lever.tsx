'use client';
import type { KeyboardEvent } from 'react';
import { useDrag } from '../hooks/use-drag';
import { engineText } from '../words/helm';
import { GearAndThrottle } from './GearAndThrottle';
import { leverAt, MOST_NOTCHES, notched, notchesOf, type LeverAt } from './helm-orders';
import { useHelmPreferences } from './preferences';
import { useLive, useLiveState } from './use-live';

/** Share of the lever's way that is neutral, and that gear takes at idle. */
const DETENT = 0.14;
const GEAR = 0.1;

const LEAST_NOTCHES = -MOST_NOTCHES;

/** Where a lever stands along its way: 1 full ahead, −1 full astern, with a wide neutral. */
function shareOf(lever: LeverAt): number {
  const notches = notchesOf(lever);
  if (notches === 0) return 0;
  const on = DETENT + GEAR + (1 - DETENT - GEAR) * ((Math.abs(notches) - 1) / (MOST_NOTCHES - 1));
  return Math.sign(notches) * on;
}

function leverFrom(share: number): LeverAt {
  const way = Math.min(1, Math.abs(share));
  if (way < DETENT) return leverAt(0);
  const on = Math.max(0, (way - DETENT - GEAR) / (1 - DETENT - GEAR));
  return leverAt(Math.sign(share) * (1 + on * (MOST_NOTCHES - 1)));
}

/** Gear and throttle in one lever, with a neutral that is felt; beside it what the propeller does. */
function LeverTrack({
  name,
  engine,
  lever,
  spin,
  wide,
  onPut,
}: {
  name: string;
  engine: number;
  lever: LeverAt;
  /** Share of full revolutions, ahead positive. */
  spin: number;
  wide: boolean;
  onPut: (lever: LeverAt) => void;
}) {
  const drag = useDrag((_across, down) => {
    const to = leverFrom(1 - 2 * down);
    if (to.gear !== lever.gear || to.throttle !== lever.throttle) onPut(to);
  });
  const keys: Record<string, () => void> = {
    ArrowUp: () => onPut(notched(lever, 1)),
    ArrowDown: () => onPut(notched(lever, -1)),
    Home: () => onPut(leverAt(MOST_NOTCHES)),
    End: () => onPut(leverAt(-MOST_NOTCHES)),
  };
  const top = (share: number) => `${(50 * (1 - share)).toFixed(2)}%`;
  return (
    <div
      role="slider"
      aria-orientation="vertical"
      aria-label={name}
      aria-valuemin={LEAST_NOTCHES}
      aria-valuemax={MOST_NOTCHES}
      aria-valuenow={notchesOf(lever)}
      aria-valuetext={engineText(lever.gear, lever.throttle)}
      tabIndex={0}
      data-testid={`lever-${engine}`}
      className={`relative h-[124px] ${wide ? 'w-[78px]' : 'w-[66px]'} cursor-ns-resize touch-none select-none`}
      {...drag}
      onKeyDown={(event: KeyboardEvent) => {
        const act = keys[event.key];
        if (!act) return;
        event.preventDefault();
        event.stopPropagation();
        act();
      }}
    >
      <div className="absolute inset-y-0 left-1/2 w-px bg-ink" />
      <div
        className="absolute inset-x-2 border-y border-quiet"
        style={{ top: top(DETENT), bottom: top(DETENT) }}
      />
      {[0.5, 1, -0.5, -1].map((at) => (
        <div
          key={at}
          className="absolute left-1/2 h-px w-4 -translate-x-1/2 bg-quiet"
          style={{ top: top(at) }}
        />
      ))}
      {/* What the propeller does: from the middle, ahead up. */}
      <div
        className="absolute right-0.5 w-2 bg-ink"
        style={{ top: top(Math.max(0, spin)), height: `${50 * Math.abs(spin)}%` }}
      />
      <div
        className={`absolute left-1/2 h-[22px] w-[46px] -translate-x-1/2 -translate-y-1/2 border-2 border-plan ${
          lever.gear === 'neutral' ? 'bg-paper' : 'bg-plan'
        }`}
        style={{ top: top(shareOf(lever)) }}
      />
    </div>
  );
}

/** One engine: its lever, or gear and throttle apart, as the user likes it. */
export function Lever({ engine }: { engine: number }) {
  const live = useLive();
  const lever = useLiveState((s) => s.helm?.levers[engine]) ?? leverAt(0);
  const turns = useLiveState((s) => s.now?.engines[engine]?.rps ?? 0);
  const pending = useLiveState((s) => (s.now?.engines[engine]?.engagesIn ?? null) !== null);
  const linked = useHelmPreferences((p) => p.linked);
  const apart = useHelmPreferences((p) => p.apart);
  const { drives } = live.file.boat;
  const drive = drives[engine]!;
  const name = drives.length > 1 ? drive.name : 'Engine';
  const wide = drives.length < 3;
  const put = (to: LeverAt) =>
    live.move((helm) => ({
      ...helm,
      levers: helm.levers.map((now, i) => (linked || i === engine ? to : now)),
    }));
  return (
    <div className="flex flex-col items-center">
      <p
        title={drive.name}
        className={`font-semibold ${wide ? 'max-w-[110px] truncate text-[13px]' : 'flex min-h-[30px] max-w-[70px] items-end text-center text-[11.5px] leading-tight'}`}
      >
        {name}
      </p>
      {apart ? (
        <GearAndThrottle name={name} lever={lever} onChange={put} />
      ) : (
        <LeverTrack
          name={name}
          engine={engine}
          lever={lever}
          spin={Math.max(-1, Math.min(1, turns / (drive.full_rpm / 60)))}
          wide={wide}
          onPut={put}
        />
      )}
      <output className="figures whitespace-nowrap text-[13px]">
        {engineText(lever.gear, lever.throttle)}
        {pending ? ' …' : ''}
      </output>
    </div>
  );
}
