'use client';
import { DateTime } from 'luxon';
import { useMemo, useState } from 'react';
import { toFile } from '@/document';
import { DaySheet } from '../day/DaySheet';
import { useWorkspace, useWorkspaceStore } from '../state/context';

/** When it is meant to be, and the sheet of the day an hour is taken from. */
export function Hour() {
  const store = useWorkspaceStore();
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  const [open, setOpen] = useState(false);
  // As it was when the sheet was opened: an hour taken from it must not begin it anew.
  const file = useMemo(() => toFile(manoeuvre, boat, place), [manoeuvre, boat, place]);
  const { when } = manoeuvre.conditions;
  const zone = place.tide?.zone ?? 'UTC';
  return (
    <p className="flex flex-wrap items-baseline gap-x-4 pb-1">
      {when && (
        <span>
          as on{' '}
          <span className="figures font-semibold">
            {DateTime.fromISO(when, { zone }).toFormat('d LLL yyyy, HH:mm')}
          </span>{' '}
          <span className="text-quiet">{zone}</span>{' '}
          <button
            type="button"
            className="text-[13px] text-plan underline"
            onClick={() =>
              store.getState().edit((m) => {
                delete m.conditions.when;
              })
            }
          >
            no hour
          </button>
        </span>
      )}
      <button type="button" className="text-plan underline" onClick={() => setOpen(true)}>
        Choose an hour of a day
      </button>
      {open && <DaySheet file={file} onClose={() => setOpen(false)} />}
    </p>
  );
}
