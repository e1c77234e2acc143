import type { Metadata } from 'next';
import { BoatForm } from '@/ui/boats/BoatForm';

export const metadata: Metadata = { title: 'A new boat' };

export default function NewBoatPage() {
  return <BoatForm opened={null} />;
}
