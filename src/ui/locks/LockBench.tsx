'use client';
import { Pause, Play } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useMemo, useState } from 'react';
import type { HangUp, LockedBoat, LockOutlook, LockRefusal } from '@/core/locks';
import { toLock, type LockWorking } from '@/document';
import { Choice } from '../parts/Choice';
import { IconButton } from '../parts/IconButton';
import { LengthBox } from '../parts/LengthBox';
import { useUnits } from '../state/preferences';
import { levelText } from '../words/locks';
import { clock, distance, type Units } from '../words/units';
import { fitsLock } from './fits-lock';
import { LockBrief } from './LockBrief';
import { LockSection } from './LockSection';
import { useLockOutlook } from './use-lock-outlook';
import { useLockRun } from './use-lock-run';

const BUTTON =
  'min-h-9 border border-ink px-2.5 hover:border-plan hover:text-plan aria-pressed:bg-plan aria-pressed:text-on-plan';
const SHARES = [
  [0, 'shut'],
  [0.25, '¼'],
  [0.5, '½'],
  [1, 'full'],
] as const;
const PACES = ['1', '4', '10', '30'] as const;

const NOTHING_KNOWN: LockOutlook = { level: null, hangs: [], left: null, pull: 0 };

/** A boat of the fleet as a lock sees it. */
export interface LockBoat {
  readonly id: string;
  readonly name: string;
  readonly length: number;
  readonly beam: number;
  readonly draught: number;
  readonly airDraught: number;
}

/** A lock worked by hand: paddles wound, gates swung, levels as they go, and what they do to a boat in it. */
export function LockBench({
  name,
  working,
  fleet,
  onClose,
}: {
  name: string;
  working: LockWorking;
  fleet: readonly LockBoat[];
  onClose: () => void;
}) {
  const units = useUnits();
  const lock = useMemo(() => toLock(working), [working]);
  const run = useLockRun(lock);
  const [boatId, setBoatId] = useState(
    () => (fleet.find((boat) => fitsLock(boat, working)) ?? fleet[0])?.id ?? '',
  );
  const [bowUp, setBowUp] = useState(true);
  const [fromUpper, setFromUpper] = useState(Math.max(2, working.cillReach_m + 1));
  const [pace, setPace] = useState<(typeof PACES)[number]>('10');
  const chosen = fleet.find(({ id }) => id === boatId) ?? fleet[0];
  const boat = useMemo(
    (): LockedBoat => ({
      length: chosen?.length ?? 10,
      beam: chosen?.beam ?? 3,
      draught: chosen?.draught ?? 1,
      sternDraught: chosen?.draught ?? 1,
      airDraught: chosen?.airDraught ?? 2,
      bowUp,
      fromUpper,
    }),
    [chosen, bowUp, fromUpper],
  );
  const { state } = run;
  const outlook = useLockOutlook(useMemo(() => ({ lock, state, boat }), [lock, state, boat]));
  const { hangs, left, pull, level } = outlook ?? NOTHING_KNOWN;
  const makes = levelText(level, units);
  const running = run.pace > 0;
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-paper/70" />
        <Dialog.Content className="fixed left-1/2 top-1/2 z-50 grid max-h-[97vh] w-[1140px] max-w-[98vw] -translate-1/2 grid-cols-[minmax(0,1fr)_330px] gap-x-6 overflow-auto border border-ink bg-paper p-6 text-ink max-md:grid-cols-1">
          <div>
            <div className="flex items-baseline gap-4">
              <Dialog.Title className="text-[18px] font-bold">{name} worked</Dialog.Title>
              <Dialog.Description className="text-[13px] text-quiet">
                Levels by the orifice law; forces on the boat known to within a half.
              </Dialog.Description>
            </div>
            <div className="flex flex-wrap items-center gap-x-3 py-2">
              <IconButton
                label={running ? 'Pause' : 'Let it run'}
                onClick={() => run.setPace(running ? 0 : Number(pace))}
              >
                {running ? <Pause size={17} /> : <Play size={17} />}
              </IconButton>
              <output className="figures text-[17px]">{clock(state.time)}</output>
              <Choice
                label="How fast it runs"
                value={pace}
                options={PACES.map((value) => ({ value, text: `${value} ×` }))}
                onChange={(value) => {
                  setPace(value);
                  if (running) run.setPace(Number(value));
                }}
              />
              <button
                type="button"
                className="text-plan underline"
                onClick={() => run.reset('lower')}
              >
                begin empty
              </button>
              <button
                type="button"
                className="text-plan underline"
                onClick={() => run.reset('upper')}
              >
                begin full
              </button>
            </div>
            <LockSection
              chambers={[{ lock, state, coping: working.coping_m }]}
              boats={[
                {
                  boat,
                  level: state.chamber,
                  hurt: hangs.length > 0,
                  name: chosen?.name ?? 'boat',
                },
              ]}
            />
            <p className="min-h-7 pt-1.5" role="status" data-testid="lock-told">
              {run.refused && (
                <span className="font-semibold text-hurt">{refusedWords(run.refused, units)} </span>
              )}
              {hangs.map((hang) => (
                <span key={hang.is} className="font-semibold text-hurt">
                  ▲ {hangWords(hang, units)}{' '}
                </span>
              ))}
              {left && (
                <span className="font-semibold text-hurt">
                  ▲ {Math.round(left.seconds)} s until the boat is {hangWords(left.hangs, units)}:
                  shut what empties, fill again.{' '}
                </span>
              )}
              {makes && (
                <span>
                  {makes}; pull along the chamber{' '}
                  <span className="figures">{(Math.abs(pull) * 1000).toFixed(1)} ‰</span> of the
                  boat’s weight
                </span>
              )}
            </p>
            <div className="grid grid-cols-2 gap-x-6 gap-y-2 pt-1 max-md:grid-cols-1">
              {(['lower', 'upper'] as const).map((at) => (
                <fieldset key={at}>
                  <legend className="text-[15px] font-semibold">
                    {at === 'upper' ? 'Above' : 'Below'}
                  </legend>
                  {lock.paddles.map((paddle, i) =>
                    paddle.end === at ? (
                      <div key={paddle.name} className="rule-t flex items-center gap-1.5 py-1">
                        <span className="min-w-0 flex-1 truncate">{paddle.name}</span>
                        {SHARES.map(([share, word]) => (
                          <button
                            key={word}
                            type="button"
                            aria-label={`${paddle.name}: ${word}`}
                            aria-pressed={run.state.wound[i] === share}
                            className={BUTTON}
                            onClick={() => run.order({ do: 'wind', paddle: i, to: share })}
                          >
                            {word}
                          </button>
                        ))}
                      </div>
                    ) : null,
                  )}
                  <div className="rule-t flex items-center gap-1.5 py-1">
                    <span className="min-w-0 flex-1">
                      gates{' '}
                      <span className="figures text-quiet">
                        {Math.round(100 * state.gates[at])} % open
                      </span>
                    </span>
                    {(['open', 'shut'] as const).map((to) => (
                      <button
                        key={to}
                        type="button"
                        aria-label={`${at} gates: ${to}`}
                        className={BUTTON}
                        onClick={() => run.order({ do: 'gates', end: at, to })}
                      >
                        {to}
                      </button>
                    ))}
                  </div>
                </fieldset>
              ))}
            </div>
          </div>
          <div>
            <p className="text-right">
              <Dialog.Close className="text-plan underline">Close</Dialog.Close>
            </p>
            <h3 className="text-[15px] font-semibold">The boat in it</h3>
            <p>
              <Choice
                label="Boat"
                value={chosen?.id ?? ''}
                options={fleet.map(({ id, name: called }) => ({ value: id, text: called }))}
                onChange={setBoatId}
              />{' '}
              <Choice
                label="How the boat lies"
                value={bowUp ? 'up' : 'down'}
                options={[
                  { value: 'up', text: 'bow up-stream' },
                  { value: 'down', text: 'bow down-stream' },
                ]}
                onChange={(way) => setBowUp(way === 'up')}
              />
            </p>
            <LengthBox
              label="from the upper gates"
              value={fromUpper}
              least={0}
              most={Math.max(0, Math.floor(working.length_m))}
              onChange={setFromUpper}
            />
            <LockBrief working={working} lock={lock} boat={boat} />
            <p className="rule-t pt-2 text-[12.5px] text-quiet">
              Never make a line fast in a lock going down. Paddles are wound, never dropped. Keep
              forward of the cill. The keeper&rsquo;s word and the lock&rsquo;s own notices come
              first.
            </p>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function hangWords(hang: HangUp, units: Units): string {
  switch (hang.is) {
    case 'on the cill':
      return `on the cill with the boat’s ${hang.end}${hang.by > 0.005 ? `, ${distance(hang.by, units)} of it` : ''}`;
    case 'in the gates':
      return `in the swing of the ${hang.end} gates`;
    case 'on the bottom':
      return `on the bottom by ${distance(hang.by, units)}`;
  }
}

function refusedWords(refusal: LockRefusal, units: Units): string {
  switch (refusal.is) {
    case 'not level':
      return `The ${refusal.end} gates do not move: ${distance(Math.abs(refusal.head), units)} between the levels.`;
    case 'other gates open':
      return `Shut the ${refusal.end} gates first.`;
    case 'no such paddle':
      return 'There is no such paddle.';
  }
}
