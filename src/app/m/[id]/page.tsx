import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { z } from 'zod';
import { lastResultKept, library, openManoeuvre } from '@/db';
import { PHASES } from '@/ui/state/phases';
import { Unreadable } from '@/ui/start/Unreadable';
import { WorkspaceLoader } from '@/ui/workspace/WorkspaceLoader';

export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const opened = openManoeuvre(library(), (await params).id);
  return { title: opened?.ok ? opened.value.manoeuvre.title : 'Not there' };
}

/** What the workspace is opened for: `?do=rehearse`, or another of its phases. */
const askedSchema = z.object({ do: z.enum(PHASES) });

export default async function ManoeuvrePage({ params, searchParams }: Props) {
  const { id } = await params;
  const opened = openManoeuvre(library(), id);
  if (!opened) notFound();
  if (!opened.ok) return <Unreadable problems={opened.problems} />;
  const asked = askedSchema.safeParse(await searchParams);
  const phase = asked.success ? asked.data.do : 'plan';
  const last = lastResultKept(library(), id);
  return <WorkspaceLoader key={id} opened={opened.value} last={last} phase={phase} />;
}
