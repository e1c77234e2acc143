import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { keptBoats, library } from '@/db';
import { BoatForm } from '@/ui/boats/BoatForm';
import { Unreadable } from '@/ui/start/Unreadable';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'What you know of the boat' };

export default async function EditBoatPage({ params }: { params: Promise<{ id: string }> }) {
  const opened = keptBoats.open(library(), (await params).id);
  if (!opened) notFound();
  if (!opened.ok) return <Unreadable problems={opened.problems} />;
  return <BoatForm opened={opened.value} />;
}
