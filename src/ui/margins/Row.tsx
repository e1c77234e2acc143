'use client';
import type { ReactNode } from 'react';
import type { Reading } from '../words/run';
import { clock } from '../words/units';

/** A line that takes the playhead to its moment, if it has one. */
export function Go({
  time,
  seek,
  children,
}: {
  time: number | null;
  seek: (time: number) => void;
  children: ReactNode;
}) {
  if (time === null) return <div className="flex gap-2">{children}</div>;
  return (
    <button
      type="button"
      title={`Show ${clock(time)}`}
      onClick={() => seek(time)}
      className="flex w-full gap-2 text-left hover:text-plan"
    >
      {children}
    </button>
  );
}

/** A figure, what it means, and where and when. */
export function Row({
  reading,
  seek,
  children,
}: {
  reading: Reading;
  seek: (time: number) => void;
  /** What can be done about it; of a reading that is of no moment. */
  children?: ReactNode;
}) {
  return (
    <li
      className="rule-t py-1.5"
      data-grows={reading.grows || undefined}
      aria-live={reading.grows && 'off'}
    >
      <Go time={reading.time} seek={seek}>
        <span
          data-testid="reading"
          className={`figures w-[116px] shrink-0 whitespace-nowrap text-[20px] font-semibold leading-6 ${reading.hurts ? 'text-hurt' : ''}`}
        >
          {reading.hurts ? '▲ ' : ''}
          {reading.figure}
        </span>
        <span className="min-w-0">
          <span className="block font-semibold">{reading.meaning}</span>
          <span className="block text-[12.5px] text-quiet">{reading.where}</span>
          {children}
        </span>
      </Go>
    </li>
  );
}
