import type { LockWorking } from '@/document';
import { Choice } from '../parts/Choice';
import { NumberBox } from '../parts/NumberBox';
import { Tick } from '../parts/Tick';

const KINDS = [
  { value: 'mitre', text: 'mitred leaves' },
  { value: 'single', text: 'one leaf' },
  { value: 'guillotine', text: 'raised' },
] as const;
const HINGES = [
  { value: 'left', text: 'hung left' },
  { value: 'right', text: 'hung right' },
] as const;

/** Which way is up-stream, what closes each end, and whether the tide stands below. */
export function GateFields({
  working,
  set,
}: {
  working: LockWorking;
  set: (part: Partial<LockWorking>) => void;
}) {
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <NumberBox
          label="up-stream is"
          value={working.upstream_deg ?? 0}
          unit="°"
          least={0}
          most={359.9}
          digits={1}
          onChange={(upstream_deg) => set({ upstream_deg })}
        />
        <Tick checked={working.tidal} onChange={(tidal) => set({ tidal })}>
          the tide stands below it
        </Tick>
      </div>
      {working.upstream_deg === undefined && (
        <p className="text-[13px] text-quiet">
          Give the direction up-stream: without it the lock is not worked in a manoeuvre.
        </p>
      )}
      {(['upperGates', 'lowerGates'] as const).map((which) => {
        // In a staircase those are told of at the lock above.
        if (which === 'upperGates' && working.above !== undefined) return null;
        const gates = working[which];
        const name = which === 'upperGates' ? 'upper gates' : 'lower gates';
        const put = (part: Partial<typeof gates>) => set({ [which]: { ...gates, ...part } });
        return (
          <div key={which} className="rule-t flex flex-wrap items-baseline gap-x-3 py-1">
            <span className="min-w-0 flex-1">{name}</span>
            <Choice
              label={`${name} are`}
              value={gates.kind}
              options={KINDS}
              onChange={(kind) => put({ kind })}
            />
            {gates.kind === 'single' && (
              <Choice
                label={`${name}, looking up-stream`}
                value={gates.hinge}
                options={HINGES}
                onChange={(hinge) => put({ hinge })}
              />
            )}
            <NumberBox
              label=""
              name={`${name}, seconds to open`}
              value={gates.swing_s}
              unit="s"
              least={2}
              most={600}
              digits={0}
              onChange={(swing_s) => put({ swing_s })}
            />
          </div>
        );
      })}
    </>
  );
}
