import type { Metadata } from 'next';
import { library, listBoats, listPlaces } from '@/db';
import { NewManoeuvre } from '@/ui/new/NewManoeuvre';

export const metadata: Metadata = { title: 'A new manoeuvre' };
export const dynamic = 'force-dynamic';

export default function NewPage() {
  const db = library();
  const boats = listBoats(db).flatMap(({ boat }) => (boat ? [boat] : []));
  const places = listPlaces(db).filter(({ berths }) => berths.length > 0);
  return <NewManoeuvre boats={boats} places={places} />;
}
