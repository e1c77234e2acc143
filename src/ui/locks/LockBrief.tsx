'use client';
import { useMemo } from 'react';
import type { LockFigures } from '@/core/brief';
import { type Lock, type LockedBoat, type LevelChange, type RoomUnder } from '@/core/locks';
import { USUAL_LANDING_M, BORNE } from '@/core/policy';
import type { LockWorking } from '@/document';
import { useNewest } from '../hooks/use-look';
import { useUnits } from '../state/preferences';
import { SHARE_WORDS } from '../words/lock-sheets';
import { clock, distance, type Units } from '../words/units';

/** What a lock means for a boat, worked out by working it: fit, times, pace of the paddles, rope, hands. */
export function LockBrief({
  working,
  lock,
  boat,
}: {
  working: LockWorking;
  lock: Lock;
  boat: LockedBoat;
}) {
  const coping = working.coping_m;
  const given = useMemo(() => ({ lock, boat, coping }), [lock, boat, coping]);
  const { found: figures } = useNewest('lockFigures', given);
  return (
    <section aria-label="Lock brief" className="pt-2" data-testid="lock-brief">
      {figures && <FiguresOfLock figures={figures} landing={USUAL_LANDING_M} />}
    </section>
  );
}

/** Fit, paces, rope and times of a lock for a boat. */
export function FiguresOfLock({
  figures: { fit, up, down, rope, byCrew },
  landing,
  under = null,
}: {
  figures: LockFigures;
  landing: number;
  /** The lowest bridge on the boat's way. */
  under?: RoomUnder | null;
}) {
  const units = useUnits();
  const over = (m: number) =>
    m < 0 ? `${distance(-m, units)} too little` : `${distance(m, units)} over`;
  const rows: [string, string, boolean][] = [
    ['beam, fenders both sides', over(fit.alongside), fit.alongside < 0],
    ['two such boats abreast', over(fit.abreast), false],
    ['clear of both gates’ swing', over(fit.gates), fit.gates < 0],
    ['and of the cill, going down', over(fit.cill), fit.cill < 0],
    ['water on the cills', over(fit.water), fit.water < 0],
    ['rope, to the coping and back', distance(rope, units), false],
    ...(under
      ? [
          [`room under ${under.name}`, over(under.room), under.room < 0] as [
            string,
            string,
            boolean,
          ],
        ]
      : []),
  ];
  return (
    <>
      <dl>
        {rows.map(([what, figure, hurts]) => (
          <div key={what} className="rule-t flex justify-between gap-3 py-1">
            <dt>{what}</dt>
            <dd
              className={`figures whitespace-nowrap text-right ${hurts ? 'font-semibold text-hurt' : ''}`}
            >
              {hurts ? '▲ ' : ''}
              {figure}
            </dd>
          </div>
        ))}
      </dl>
      <Pace words="Going up" making={up} units={units} />
      <Pace words="Going down" making={down} units={units} />
      <p className="rule-t py-1">
        The whole passage, from {distance(landing, units)} off and back aboard:{' '}
        <span className="figures">
          {byCrew.map((each, i) => `${i + 1} ashore ${each ? clock(each.whole) : '–'}`).join(', ')}
        </span>
      </p>
    </>
  );
}

/** How the paddles are best wound: the quickest at which hands can hold the boat. */
function Pace({
  words,
  making,
  units,
}: {
  words: string;
  making: LevelChange | null;
  units: Units;
}) {
  if (!making) return <p className="rule-t py-1 text-hurt">{words}: not made within the hour.</p>;
  const { first, seconds, fastest, pull, poundChange } = making;
  const borne = pull <= BORNE;
  return (
    <p className="rule-t py-1">
      <span className="font-semibold">{words}</span>: paddles {SHARE_WORDS[first]}
      {first < 1 ? ', full once half the head is gone' : ''};{' '}
      <span className="figures">{clock(seconds)}</span>, at most{' '}
      <span className="figures">{distance(fastest * 60, units)}</span> a minute, pull{' '}
      <span className="figures">{(pull * 1000).toFixed(1)} ‰</span> of the boat’s weight
      {borne
        ? ', which hands hold on a turn'
        : ': more than hands hold, have the boat on two lines'}
      .
      {Math.abs(poundChange) > 0.01 &&
        ` The pound ${poundChange < 0 ? 'falls' : 'rises'} by ${distance(Math.abs(poundChange), units)}.`}
    </p>
  );
}
