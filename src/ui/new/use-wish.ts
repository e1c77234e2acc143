'use client';
import { useMemo, useState } from 'react';
import { FILLS_BERTH, START_WIND_MPS } from '@/core/policy';
import {
  locksOfPlace,
  SIDES,
  usualWater,
  type Berth,
  type Boat,
  type Conditions,
  type Place,
  type Side,
} from '@/document';
import { passagesAt, type Going, type Passage } from '@/planner';
import { fitsLock } from '../locks/fits-lock';
import { useNewest } from '../hooks/use-look';

/** A boat to begin with: the first that goes into the place's first berth and its locks. */
function firstThatFits(boats: readonly Boat[], place: Place | undefined): string {
  const locks = place ? locksOfPlace(place).map(({ working }) => working) : [];
  const edge = place?.berths[0]?.edge_m;
  const room = edge ? Math.hypot(edge[1][0] - edge[0][0], edge[1][1] - edge[0][1]) : Infinity;
  const lies = ({ hull }: Boat) => hull.length_m <= FILLS_BERTH * room;
  const passes = ({ hull }: Boat) =>
    locks.every((lock) => fitsLock({ length: hull.length_m, beam: hull.beam_m }, lock));
  const fits = boats.find((boat) => lies(boat) && passes(boat)) ?? boats.find(lies);
  return (fits ?? boats[0])?.id ?? '';
}

/** Through which lock of the place, and which way. */
export interface WishedPassage {
  readonly lockId: string;
  readonly going: Passage;
}

/** What has been chosen by hand so far; null where it goes by the rest. */
interface Chosen {
  readonly placeId: string;
  readonly boatId: string;
  readonly berthId: string | null;
  readonly going: Going;
  readonly through: WishedPassage | null;
  readonly side: Side | null;
  readonly title: string | null;
  readonly wind: { readonly speed: number; readonly from: number } | null;
  readonly current: { readonly speed: number; readonly set: number };
}

const VERBS: Readonly<Record<Going, string>> = {
  in: 'Into',
  out: 'Out of',
  round: 'Round before',
};

/** A manoeuvre to be: what has been chosen, what follows from it, and what it would come to as far as that is worked out. */
export function useWish(
  boats: readonly Boat[],
  places: readonly Place[],
  /** Boat and place to begin with, by their ids. */
  wanted: { readonly placeId: string | null; readonly boatId: string | null },
) {
  const [chosen, setChosen] = useState((): Chosen => {
    const first = places.find(({ id }) => id === wanted.placeId) ?? places[0];
    return {
      placeId: first?.id ?? '',
      boatId: boats.find(({ id }) => id === wanted.boatId)?.id ?? firstThatFits(boats, first),
      berthId: null,
      going: 'in',
      through: null,
      side: null,
      title: null,
      wind: null,
      current: { speed: 0, set: 90 },
    };
  });
  const place = places.find(({ id }) => id === chosen.placeId);
  const boat = boats.find(({ id }) => id === chosen.boatId);
  const passages = useMemo(() => (place ? passagesAt(place) : []), [place]);
  const locks = useMemo(() => (place ? locksOfPlace(place) : []), [place]);
  const ownBerth = place?.berths.find(({ id }) => id === chosen.berthId) ?? place?.berths[0];
  // Where there is no berth there is a lock, or the place were not offered.
  const through =
    [chosen.through, ownBerth ? null : passages[0]].find(
      (one) => one && locks.some(({ id }) => id === one.lockId),
    ) ?? null;
  const lock = locks.find(({ id }) => id === through?.lockId) ?? null;
  const berth: Berth | null = lock ? null : (ownBerth ?? null);
  const wind = chosen.wind ?? { speed: START_WIND_MPS, from: 240 };
  const { current } = chosen;
  const conditions = useMemo(
    (): Conditions => ({
      wind: { from_deg: wind.from, speed_mps: wind.speed },
      current: { set_deg: current.set, speed_mps: current.speed },
      water: place ? usualWater(place) : 'sea',
      wash: { screws: true, passing: [] },
    }),
    [wind.from, wind.speed, current, place],
  );
  const berthId = berth?.id ?? null;
  const lockId = lock?.id;
  const way = through?.going;
  const asked = useMemo(() => {
    if (!boat || !place) return null;
    const passage = lockId !== undefined && way ? { lockId, going: way } : null;
    return { boat, place, conditions, berthId, passage };
  }, [boat, place, conditions, berthId, lockId, way]);
  const { found, failed } = useNewest('outlook', asked);
  // What was found of another berth does not stand for this one.
  const outlook = found && found.berthId === berthId ? found : null;
  const lying = outlook?.lying ?? null;
  // Bow first into a slip unless asked otherwise: it is the simpler of the two.
  const side =
    chosen.side ?? SIDES.find((s) => lying?.[s].bowIn) ?? outlook?.sides[0]?.side ?? 'port';
  const what = lock
    ? `${way === 'up' ? 'Up' : 'Down'} through ${lock.name}`
    : `${VERBS[chosen.going]} ${berth?.name ?? ''}`;
  return {
    place,
    boat,
    berth,
    hasBerth: ownBerth !== undefined,
    lock,
    through,
    passages,
    going: chosen.going,
    wind,
    current,
    conditions,
    side,
    outlook,
    /** Is it still being worked out how the boat would lie? */
    waiting: outlook === null && !failed,
    title: chosen.title ?? `${what}, ${boat?.name ?? ''}`.slice(0, 80),
    /** Another place or berth: what was chosen for the one before goes. */
    choose(part: Partial<Chosen>) {
      const elsewhere = 'placeId' in part ? { berthId: null, side: null } : {};
      const another = 'berthId' in part ? { side: null } : {};
      setChosen((so) => ({ ...so, ...elsewhere, ...another, ...part }));
    },
  };
}

export type ManoeuvreWish = ReturnType<typeof useWish>;
