import type { Metadata } from 'next';
import { keptBoats, keptPlaces, library } from '@/db';
import { NewManoeuvre } from '@/ui/new/NewManoeuvre';

export const metadata: Metadata = { title: 'A new manoeuvre' };
export const dynamic = 'force-dynamic';

export default function NewPage() {
  const db = library();
  const boats = keptBoats.list(db).flatMap(({ document }) => document ?? []);
  const places = keptPlaces
    .list(db)
    .flatMap(({ document }) => (document && document.berths.length > 0 ? [document] : []));
  return <NewManoeuvre boats={boats} places={places} />;
}
