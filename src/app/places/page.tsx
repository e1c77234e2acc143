import type { Metadata } from 'next';
import { keptPlaces, library } from '@/db';
import { PlaceList } from '@/ui/places/PlaceList';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Places' };

export default async function PlacesPage({
  searchParams,
}: {
  searchParams: Promise<{ aside?: string | string[] }>;
}) {
  const { aside } = await searchParams;
  return (
    <PlaceList
      places={keptPlaces.list(library())}
      aside={typeof aside === 'string' ? aside : null}
    />
  );
}
