'use client';
import type { LockAhead } from '@/core/brief';
import { useWorkspace } from '../state/context';
import { useUnits } from '../state/preferences';
import { gatesAdvice, setText, sharesText, sideText, stairText } from '../words/lock-ahead';
import { distance } from '../words/units';

/** What was worked out of a lock, in the lines that are wanted at it. */
export function CardLock({ ahead }: { ahead: LockAhead }) {
  const units = useUnits();
  const worked = useWorkspace((s) => s.manoeuvre.locks);
  const names = worked.map(({ lock }) => lock);
  const advice = gatesAdvice(ahead.through);
  const { under } = ahead;
  const lines = [
    setText(ahead, names, units),
    ...(ahead.stair ? stairText(ahead.stair, names, units) : []),
    ...(advice ? [advice] : []),
    ...ahead.shares.flatMap((shares) => sharesText(shares, units)),
    sideText(ahead),
  ];
  return (
    <section aria-label={ahead.name} className="pb-3">
      <h3 className="border-b border-ink text-[0.85em] font-semibold">{ahead.name}</h3>
      {lines.map((text) => (
        <p key={text} className="rule-t py-1">
          {text}
        </p>
      ))}
      {under && (
        <p className={`rule-t py-1 ${under.room < 0 ? 'font-semibold text-hurt' : ''}`}>
          {under.room < 0
            ? `▲ ${under.name} is ${distance(-under.room, units)} too low for the boat`
            : `${distance(under.room, units)} under ${under.name}`}
        </p>
      )}
    </section>
  );
}
