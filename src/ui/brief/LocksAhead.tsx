import type { LockAhead } from '@/core/brief';
import { FiguresOfLock } from '../locks/LockBrief';
import { useUnits } from '../state/preferences';
import { gatesAdvice, setText, sideText, throughText } from '../words/lock-ahead';

/** The locks of a manoeuvre before they are entered: set for her or against, gates, side, fit, paces, times. */
export function LocksAhead({ locks }: { locks: readonly LockAhead[] }) {
  const units = useUnits();
  return locks.map((ahead) => {
    const advice = gatesAdvice(ahead.through);
    return (
      <section key={ahead.lock} aria-label={ahead.name} className="pb-4" data-testid="lock-ahead">
        <h2 className="pb-1 text-[15px] font-semibold">{ahead.name}</h2>
        <p className="rule-t py-1">{setText(ahead, units)}</p>
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
        <p className="rule-t py-1">{sideText(ahead)}</p>
        <FiguresOfLock figures={ahead.figures} landing={ahead.way} />
        <p className="rule-t py-1 text-[12.5px] text-quiet">
          Pushes of the water are known to a half. The lock keeper’s word and the notices at the
          lock come first.
        </p>
      </section>
    );
  });
}
