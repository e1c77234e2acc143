import type { LockAhead, LockWater } from '@/core/brief';
import { FiguresOfLock } from '../locks/LockBrief';
import { useWorkspace } from '../state/context';
import { useUnits } from '../state/preferences';
import {
  gatesAdvice,
  setText,
  sharesText,
  sideText,
  stairText,
  throughText,
  waterText,
} from '../words/lock-ahead';

/**
 * The locks of a manoeuvre before they are entered: set for the boat or against, gates, side, staircase, fit, paces, times;
 * and what becomes of the run where their water pushes less or more than reckoned.
 */
export function LocksAhead({
  locks,
  water,
}: {
  locks: readonly LockAhead[];
  water: readonly LockWater[];
}) {
  const units = useUnits();
  // All of them from the start: what is told of one names the other of a staircase before that has been looked at.
  const worked = useWorkspace((s) => s.manoeuvre.locks);
  const names = worked.map(({ lock }) => lock);
  return (
    <>
      {locks.map((ahead) => {
        const advice = gatesAdvice(ahead.through);
        return (
          <section
            key={ahead.lock}
            aria-label={ahead.name}
            className="pb-4"
            data-testid="lock-ahead"
          >
            <h2 className="pb-1 text-[15px] font-semibold">{ahead.name}</h2>
            <p className="rule-t py-1">{setText(ahead, names, units)}</p>
            {ahead.stair && (
              <div className="rule-t py-1" data-testid="stair">
                {stairText(ahead.stair, names, units).map((text) => (
                  <p key={text}>{text}</p>
                ))}
              </div>
            )}
            {ahead.through.length > 0 && (
              <div className="rule-t py-1">
                {advice && <p className="font-semibold">{advice}</p>}
                {ahead.through.map((through) => (
                  <p key={through.gates} className="text-[13px]">
                    {throughText(through, units)}
                  </p>
                ))}
              </div>
            )}
            {ahead.shares.map((shares) => (
              <div key={shares.name} className="rule-t py-1" data-testid="shares">
                {sharesText(shares, units).map((text) => (
                  <p key={text}>{text}</p>
                ))}
              </div>
            ))}
            <p className="rule-t py-1">{sideText(ahead)}</p>
            <FiguresOfLock figures={ahead.figures} landing={ahead.way} under={ahead.under} />
          </section>
        );
      })}
      {locks.length > 0 && (
        <section aria-label="The water’s push" className="pb-4" data-testid="lock-water">
          <h2 className="pb-1 text-[15px] font-semibold">How sure the water’s push is</h2>
          <p className="rule-t py-1">
            Jets, slope and wash are known to a half. This run with their push at either end of
            that:
          </p>
          {water.map((found) => (
            <p key={found.times} className="rule-t py-1 text-[13px]">
              {waterText(found, units)}
            </p>
          ))}
          <p className="rule-t py-1 text-[12.5px] text-quiet">
            The lock keeper’s word and the notices at the lock come first.
          </p>
        </section>
      )}
    </>
  );
}
