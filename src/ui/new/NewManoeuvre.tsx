'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Boat, Place, Problem } from '@/document';
import { AreaFrame, BUTTON, FIRST_BUTTON } from '../parts/AreaFrame';
import { Problems } from '../parts/Problems';
import { saveDocument } from '../parts/save-document';
import { BerthPlan } from './BerthPlan';
import { useWish } from './use-wish';
import { WishForm } from './WishForm';

const ALERT = 'border-l-4 border-hurt-fill pl-2 font-semibold text-hurt';

/** Boat, place, berth and wind of a manoeuvre to be; the plan is written afterwards, by hand or by a technique. */
export function NewManoeuvre({
  boats,
  places,
  wanted,
  lastBoat,
}: {
  boats: readonly Boat[];
  places: readonly Place[];
  /** Id of the place to begin with. */
  wanted: string | null;
  /** Id of the boat to begin with. */
  lastBoat: string | null;
}) {
  const router = useRouter();
  const wish = useWish(boats, places, { placeId: wanted, boatId: lastBoat });
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const { place, boat, berth, lock, side, outlook } = wish;
  if (!place || !boat || (!berth && !lock))
    return (
      <AreaFrame area="manoeuvres">
        <h1 className="text-[26px] font-extrabold">New manoeuvre</h1>
        <p className="pt-3">
          {boats.length === 0
            ? 'There is no boat yet; make one first, under Boats.'
            : 'There is no place with a berth yet; draw one first, under Places.'}
        </p>
      </AreaFrame>
    );
  const lying = outlook?.lying?.[side] ?? null;
  const stuck = wish.going === 'round' ? null : lying?.stuck;
  const start = lock ? (outlook?.start ?? null) : null;

  const begin = async (asking = '') => {
    setBusy(true);
    const { title, conditions, going, through } = wish;
    const named = { title, boatId: boat.id, placeId: place.id, conditions };
    const [route, rest] = lock
      ? ['begin-passage', through]
      : ['begin', { berthId: berth!.id, side, going }];
    const body = JSON.stringify({ ...named, ...rest });
    const answer = await saveDocument('POST', `/api/manoeuvres/${route}`, body);
    if (answer.ok && answer.value.id) return router.push(`/m/${answer.value.id}${asking}`);
    setBusy(false);
    if (!answer.ok) setProblems(answer.problems);
  };

  return (
    <AreaFrame area="manoeuvres">
      <div className="grid h-[calc(100dvh-136px)] min-h-[520px] grid-cols-[minmax(0,1fr)_380px] gap-8 max-md:h-auto max-md:grid-cols-1 max-md:grid-rows-[50dvh_auto]">
        <BerthPlan
          place={place}
          boat={boat}
          chosen={berth}
          lying={lying}
          start={start?.ok ? start.value : null}
          onChoose={({ id }) => wish.choose({ through: null, berthId: id })}
        />
        <form
          aria-label="New manoeuvre"
          className="overflow-y-auto pr-1"
          onSubmit={(event) => {
            event.preventDefault();
            void begin();
          }}
        >
          <h1 className="pb-2 text-[26px] font-extrabold leading-none tracking-tight">
            New manoeuvre
          </h1>
          <WishForm wish={wish} place={place} boat={boat} boats={boats} places={places} />
          {stuck && (
            <p role="alert" className={ALERT}>
              {boat.name} would lie {stuck.deep_m.toFixed(1)} m inside {stuck.name}: choose a berth
              with more room, or a smaller boat.
            </p>
          )}
          {start && !start.ok && (
            <p role="alert" className={ALERT}>
              {start.problems[0]!.message}
            </p>
          )}
          <div className="sticky bottom-0 flex flex-wrap gap-3 bg-paper py-3">
            {!lock && (
              <button
                type="button"
                className={FIRST_BUTTON}
                disabled={busy || wish.waiting}
                onClick={() => void begin('?suggest')}
              >
                Begin with a suggested plan
              </button>
            )}
            <button
              type="submit"
              className={BUTTON}
              disabled={busy || wish.waiting || (start !== null && !start.ok)}
            >
              {busy ? 'Laying it out …' : lock ? 'Begin' : 'Begin without a plan'}
            </button>
          </div>
          <Problems problems={problems} lead="The manoeuvre was not begun; nothing has changed." />
        </form>
      </div>
    </AreaFrame>
  );
}
