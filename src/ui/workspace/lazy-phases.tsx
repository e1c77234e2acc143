'use client';
import dynamic from 'next/dynamic';

// What a phase alone needs comes after the page is there, and before anybody asks for it: a phase is at hand even if the
// server has gone meanwhile.

const rehearse = () => import('../rehearse/Rehearse').then(({ Rehearse: it }) => it);
const debrief = () => import('../debrief/Debrief').then(({ Debrief: it }) => it);
const card = () => import('../card/Card').then(({ Card: it }) => it);

const loading = () => <p className="col-span-2 row-span-2 p-6 text-quiet">Opening …</p>;

export const Rehearse = dynamic(rehearse, { ssr: false, loading });
export const Debrief = dynamic(debrief, { ssr: false, loading });
export const Card = dynamic(card, { ssr: false, loading });

/** The page is at rest by then, ms. */
const REST_MS = 5000;

/** Fetches what phases need once the page is at rest. Returns how not to. */
export function fetchPhases(): () => void {
  const timer = setTimeout(() => {
    // What does not come now is asked for again when it is needed.
    for (const fetch of [rehearse, debrief, card]) void fetch().catch(() => undefined);
  }, REST_MS);
  return () => clearTimeout(timer);
}
