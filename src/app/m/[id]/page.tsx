import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { library, noteOpened, openManoeuvre } from '@/db';
import { Unreadable } from '@/ui/start/Unreadable';
import { WorkspaceLoader } from '@/ui/workspace/WorkspaceLoader';

export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const opened = openManoeuvre(library(), (await params).id);
  return { title: opened?.ok ? opened.value.manoeuvre.title : 'Not there' };
}

export default async function ManoeuvrePage({ params }: Props) {
  const { id } = await params;
  const opened = openManoeuvre(library(), id);
  if (!opened) notFound();
  if (!opened.ok) return <Unreadable problems={opened.problems} />;
  noteOpened(library(), id);
  return <WorkspaceLoader key={id} opened={opened.value} />;
}
