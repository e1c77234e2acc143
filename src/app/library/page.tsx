import type { Metadata } from 'next';
import { dataDirectory, listBackups } from '@/db';
import { LibraryPage } from '@/ui/library/LibraryPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Backups' };

export default function Page() {
  return <LibraryPage backups={listBackups(dataDirectory())} />;
}
