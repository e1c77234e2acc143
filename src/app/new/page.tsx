import type { Metadata } from 'next';
import { locksOfPlace } from '@/document';
import { keptBoats, keptPlaces, library } from '@/db';
import { NewManoeuvre } from '@/ui/new/NewManoeuvre';

export const metadata: Metadata = { title: 'A new manoeuvre' };
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
  return (
    <NewManoeuvre boats={boats} places={places} wanted={typeof place === 'string' ? place : null} />
  );
}
