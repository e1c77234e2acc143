import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { keptBoats, library } from '@/db';
import { BoatProfile } from '@/ui/boats/BoatProfile';
import { Unreadable } from '@/ui/start/Unreadable';

export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const opened = keptBoats.open(library(), (await params).id);
  return { title: opened?.ok ? opened.value.document.name : 'Not there' };
}

export default async function BoatPage({ params }: Props) {
  const opened = keptBoats.open(library(), (await params).id);
  if (!opened) notFound();
  if (!opened.ok) return <Unreadable problems={opened.problems} />;
  return <BoatProfile opened={opened.value} />;
}
