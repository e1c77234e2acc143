import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { fleetOutlines, keptPlaces, library } from '@/db';
import { PlaceLoader } from '@/ui/places/PlaceLoader';
import { Unreadable } from '@/ui/start/Unreadable';

export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const opened = keptPlaces.open(library(), (await params).id);
  return { title: opened?.ok ? opened.value.document.name : 'Not there' };
}

export default async function PlacePage({ params }: Props) {
  const opened = keptPlaces.open(library(), (await params).id);
  if (!opened) notFound();
  if (!opened.ok) return <Unreadable problems={opened.problems} />;
  return <PlaceLoader opened={opened.value} fleet={fleetOutlines(library())} />;
}
