import type { Metadata } from 'next';
import { keptBoats, library } from '@/db';
import { BoatList } from '@/ui/boats/BoatList';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Boats' };

export default function BoatsPage() {
  return <BoatList boats={keptBoats.list(library())} />;
}
