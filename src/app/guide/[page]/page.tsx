import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Guide } from '@/ui/guide/Guide';
import { fileOf, GUIDE_PAGES, isGuidePage } from '@/ui/guide/pages';

export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ page: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { page } = await params;
  return { title: isGuidePage(page) ? GUIDE_PAGES[page] : 'Not there' };
}

export default async function GuidePageRoute({ params }: Props) {
  const { page } = await params;
  if (!isGuidePage(page)) notFound();
  return <Guide page={page} text={await readFile(join(process.cwd(), fileOf(page)), 'utf8')} />;
}
