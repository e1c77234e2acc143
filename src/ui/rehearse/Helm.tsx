'use client';
import { Joystick } from './Joystick';
import { Lever } from './Lever';
import { useHelmPreferences } from './preferences';
import { Thrusters } from './Thrusters';
import { Transport } from './Transport';
import { neutral } from './helm-keys';
import { useLive, useLiveState } from './use-live';
import { Wheel } from './Wheel';

/** The controls this boat has, big enough for a thumb each. */
export function Helm() {
  const live = useLive();
  const { boat } = live.file;
  const linked = useHelmPreferences((p) => p.linked);
  const setLinked = useHelmPreferences((p) => p.setLinked);
  const apart = useHelmPreferences((p) => p.apart);
  const setApart = useHelmPreferences((p) => p.setApart);
  const manned = useLiveState((s) => s.now?.helmManned ?? true);
  const steers = live.mostWheel > 0;
  return (
    <section
      aria-label="The helm"
      className="rule-t relative flex h-[226px] gap-6 overflow-x-auto bg-paper px-5 py-3 max-md:h-auto max-md:flex-wrap"
    >
      <Transport />
      <div
        className={`flex min-w-0 flex-1 gap-4 max-md:basis-full max-md:flex-wrap ${manned ? '' : 'opacity-50'}`}
      >
        {steers && <Wheel />}
        {boat.drives.length > 0 && (
          <div className="shrink-0">
            <div className="flex gap-2">
              {boat.drives.map((drive, i) => (
                <Lever key={drive.name} engine={i} />
              ))}
            </div>
            <div className="flex justify-center gap-2 pt-1 text-[12px]">
              <button type="button" className="text-plan underline" onClick={() => neutral(live)}>
                neutral
              </button>
              <label className="flex items-center gap-1" title="Gear and throttle apart">
                <input
                  type="checkbox"
                  checked={apart}
                  onChange={(event) => setApart(event.target.checked)}
                  className="min-h-0"
                />
                apart
              </label>
              {boat.drives.length > 1 && (
                <label className="flex items-center gap-1">
                  <input
                    type="checkbox"
                    checked={linked}
                    onChange={(event) => setLinked(event.target.checked)}
                    className="min-h-0"
                  />
                  together
                </label>
              )}
            </div>
          </div>
        )}
        <Joystick />
        <Thrusters />
      </div>
      {!manned && (
        <p role="status" className="self-center font-semibold text-hurt">
          Nobody at the helm
        </p>
      )}
    </section>
  );
}
