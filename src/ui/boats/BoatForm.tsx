'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import type { Pivots } from '@/core/trials';
import { boatFromOwner, boatWarnings, type Boat, type Problem } from '@/document';
import { PivotClient } from '@/workers';
import { useUnits } from '../state/preferences';
import { BoatDrawing, PivotWords } from './BoatDrawing';
import type { OpenedBoat } from './BoatProfile';
import { AreaFrame, BUTTON, LINK } from '../parts/AreaFrame';
import { keepOwn, ownTechniques } from './own-figures';
import {
  FIRST_OWNER,
  idFrom,
  ownerFromForm,
  ownerResolver,
  ownerToForm,
  type OwnerForm,
} from './owner-form';
import { saveDocument } from '../parts/save-document';
import { Problems } from '../parts/Problems';
import { OwnerFields } from './OwnerFields';

const FIRST = { name: '', kind: '', note: '' };
const FORM_ID = 'boat-form';

/** Builds a boat from what its owner knows; the rest is estimated and drawn while one types. */
export function BoatForm({ opened }: { opened: OpenedBoat | null }) {
  const router = useRouter();
  const units = useUnits();
  const owner = opened?.document.owner ?? FIRST_OWNER;
  const named = opened?.document ?? FIRST;
  const form = useForm<OwnerForm>({
    defaultValues: ownerToForm(
      owner,
      { name: named.name, kind: named.kind, note: named.note },
      units,
    ),
    mode: 'onChange',
    resolver: ownerResolver(units),
  });
  const { handleSubmit, reset, getValues } = form;
  const values = useWatch({ control: form.control }) as OwnerForm;
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const shownIn = useRef(units);

  // Other units: the same boat, told in them.
  useEffect(() => {
    if (shownIn.current === units) return;
    const read = ownerFromForm(getValues(), shownIn.current);
    const { name, kind, note } = getValues();
    shownIn.current = units;
    if (read.ok) reset(ownerToForm(read.value, { name, kind, note }, units));
  }, [units, reset, getValues]);

  const boat = useMemo(() => {
    const read = ownerFromForm(values, units);
    if (!read.ok) return null;
    const estimated = boatFromOwner(read.value, {
      id: opened?.document.id ?? idFrom(values.name),
      name: values.name.trim() || 'Your boat',
      kind: values.kind.trim() || `${read.value.class}, ${read.value.length_m.toFixed(1)} m`,
      note: values.note,
    });
    return opened ? keepOwn(estimated, opened.document) : estimated;
  }, [values, units, opened]);
  const drawn = useLast(boat);
  const pivots = usePivots(boat);

  const save = async () => {
    if (!boat) return;
    const answer = opened
      ? await saveDocument(
          'PUT',
          `/api/boats/${boat.id}`,
          JSON.stringify({ revision: opened.revision, boat }),
        )
      : await saveDocument('POST', '/api/boats', JSON.stringify(boat));
    if (!answer.ok) setProblems(answer.problems);
    else {
      router.push(`/boats/${opened ? boat.id : (answer.value.id ?? '')}`);
      router.refresh();
    }
  };

  const kept = opened ? ownTechniques(opened.document).length : 0;
  return (
    <AreaFrame>
      <div className="sticky top-0 z-20 flex flex-wrap items-center gap-x-6 gap-y-2 border-b-2 border-ink bg-paper pb-3 pt-3">
        <h1 className="text-[26px] font-extrabold leading-none tracking-tight">
          {opened
            ? `What you know of ${opened.document.name}`
            : 'A new boat, from what you know of it'}
        </h1>
        <div className="ml-auto flex items-center gap-4">
          <Link href={opened ? `/boats/${opened.document.id}` : '/boats'} className={LINK}>
            Leave it
          </Link>
          <button type="submit" form={FORM_ID} className={BUTTON} disabled={!boat}>
            {opened ? 'Keep these figures' : 'Make this boat'}
          </button>
        </div>
      </div>
      <Problems problems={problems} lead="The boat was not saved; nothing has changed." />
      <div>
        <p className="max-w-[76ch] pt-2">
          Give what you know; everything else is estimated from it, said how, and can be set by hand
          afterwards.
          {opened && !opened.document.owner && (
            <> The boat’s figures were not made this way: saving here replaces them by estimates.</>
          )}
          {kept > 0 && (
            <> {kept === 1 ? 'One figure' : `${kept} figures`} set by hand will be kept.</>
          )}
        </p>
      </div>
      <FormProvider {...form}>
        <form
          id={FORM_ID}
          onSubmit={(event) => void handleSubmit(save)(event)}
          className="grid gap-x-12 gap-y-6 pt-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,600px)]"
        >
          <div>
            <OwnerFields />
          </div>
          <div className="lg:sticky lg:top-20 lg:self-start">
            {drawn && <BoatDrawing boat={drawn} pivots={boat ? pivots : null} />}
            {boat && pivots && boat.drives.length > 0 && (
              <PivotWords pivots={pivots} length={boat.hull.length_m} />
            )}
            {boat ? (
              <Estimated boat={boat} />
            ) : (
              <p role="status" className="py-3 font-semibold text-hurt">
                Some fields are not sound yet; the drawing shows the last that were.
              </p>
            )}
          </div>
        </form>
      </FormProvider>
    </AreaFrame>
  );
}

/** The last value that was not null. */
function useLast<T>(value: T | null): T | null {
  const [last, setLast] = useState(value);
  if (value !== null && value !== last) setLast(value);
  return value ?? last;
}

const SETTLES_MS = 350;

/** Where the boat pivots, found in a worker once the fields have come to rest. */
function usePivots(boat: Boat | null): Pivots | null {
  const client = useRef<PivotClient | null>(null);
  const [found, setFound] = useState<Pivots | null>(null);
  useEffect(() => {
    const made = new PivotClient();
    client.current = made;
    return () => {
      client.current = null;
      made.close();
    };
  }, []);
  useEffect(() => {
    if (!boat) return;
    const timer = setTimeout(() => {
      void client.current?.request(boat).then((pivots) => pivots && setFound(pivots));
    }, SETTLES_MS);
    return () => clearTimeout(timer);
  }, [boat]);
  return found;
}

/** What was made of the figures, and what is unusual. */
function Estimated({ boat }: { boat: Boat }) {
  const drive = boat.drives[0];
  const warnings = boatWarnings(boat);
  const lines = [
    ['Body of the hull', `${Math.max(...boat.hull.draughts.map(([, t]) => t)).toFixed(2)} m deep`],
    ['Wetted area', `${boat.hull.wettedArea_m2} m²`],
    ['Wind area from the side', `${boat.windage.lateralArea_m2} m²`],
    ...(drive
      ? [
          ['Propeller', `${drive.diameter_m} m, pitch ${drive.pitch_m} m`],
          ['Idle at the propeller', `${drive.idle_rpm} rev/min`],
        ]
      : []),
    ...boat.rudders.slice(0, 1).map((r) => ['Rudder', `${r.area_m2} m², ${r.span_m} m deep`]),
    ...boat.thrusters.map((t) => [t.name, `${t.thrust_N} N`]),
  ] as [string, string][];
  return (
    <section aria-label="Estimated" className="pt-4">
      <h2 className="border-b border-ink pb-1 text-[15px] font-bold">Estimated, among others</h2>
      <dl className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        {lines.map(([what, figure]) => (
          <div key={what} className="rule-b col-span-2 grid grid-cols-subgrid py-1">
            <dt>{what}</dt>
            <dd className="figures">{figure}</dd>
          </div>
        ))}
      </dl>
      {warnings.length > 0 && (
        <div className="mt-3 border-l-4 border-hurt-fill pl-3" role="status">
          <p className="font-semibold text-hurt">Unusual; look again, or keep it</p>
          {warnings.map(({ path, message }) => (
            <p key={path + message} className="text-[13px]">
              <span className="figures">{path}</span>: {message}
            </p>
          ))}
        </div>
      )}
    </section>
  );
}
