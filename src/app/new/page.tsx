import type { Metadata } from 'next';
import { locksOfPlace } from '@/document';
import { keptBoats, keptPlaces, lastUsed, library } from '@/db';
import { NewManoeuvre } from '@/ui/new/NewManoeuvre';

export const metadata: Metadata = { title: 'New manoeuvre' };
export const dynamic = 'force-dynamic';

export default async function NewPage({
  searchParams,
}: {
  searchParams: Promise<{ place?: string | string[] }>;
}) {
  const { place } = await searchParams;
  const db = library();
  const boats = keptBoats.list(db).flatMap(({ document }) => document ?? []);
  const places = keptPlaces
    .list(db)
    .flatMap(({ document }) =>
      document && (document.berths.length > 0 || locksOfPlace(document).length > 0)
        ? [document]
        : [],
    );
  const last = lastUsed(db);
  return (
    <NewManoeuvre
      boats={boats}
      places={places}
      wanted={typeof place === 'string' ? place : (last?.placeId ?? null)}
      lastBoat={last?.boatId ?? null}
    />
  );
}
