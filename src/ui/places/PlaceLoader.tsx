'use client';
import dynamic from 'next/dynamic';

/** The plan is drawn on canvas, so it is made in the browser only. */
export const PlaceLoader = dynamic(
  () => import('./PlaceEditor').then(({ PlaceEditor }) => PlaceEditor),
  { ssr: false, loading: () => <p className="p-6 text-quiet">Opening …</p> },
);
