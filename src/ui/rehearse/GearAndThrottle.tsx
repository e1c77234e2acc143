'use client';
import type { GearWord, LeverAt } from './helm-orders';

const GEARS: readonly GearWord[] = ['ahead', 'neutral', 'astern'];

/** Gear and throttle each by its own: three places for the gear, and the throttle beside it. */
export function GearAndThrottle({
  name,
  lever,
  onChange,
}: {
  name: string;
  lever: LeverAt;
  onChange: (lever: LeverAt) => void;
}) {
  return (
    <div className="flex h-[124px] gap-1" role="group" aria-label={name}>
      <div className="flex flex-col justify-between">
        {GEARS.map((gear) => (
          <button
            key={gear}
            type="button"
            aria-pressed={lever.gear === gear}
            className={`h-[38px] w-[58px] border-2 text-[12px] ${
              lever.gear === gear ? 'border-plan bg-plan text-on-plan' : 'border-ink'
            }`}
            onClick={() => onChange({ ...lever, gear })}
          >
            {gear}
          </button>
        ))}
      </div>
      <input
        type="range"
        aria-label={`${name}, throttle`}
        aria-orientation="vertical"
        min={0}
        max={100}
        step={5}
        value={Math.round(100 * lever.throttle)}
        onChange={(event) => onChange({ ...lever, throttle: Number(event.target.value) / 100 })}
        className="h-[124px] w-6 accent-[var(--plan)] [direction:rtl] [writing-mode:vertical-lr]"
      />
    </div>
  );
}
