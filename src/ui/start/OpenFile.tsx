'use client';
import { FolderOpen } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { z } from 'zod';
import type { Problem } from '@/document';
import { FileButton } from '../parts/FileButton';
import { Problems } from '../parts/Problems';
import { MOST_DOCUMENT_BYTES, readText } from '../parts/read-text';

const answerSchema = z.union([
  z.object({ id: z.string() }),
  z.object({ problems: z.array(z.object({ path: z.string(), message: z.string() })) }),
]);

/** Imports a manoeuvre file from this computer. */
export function OpenFile() {
  const router = useRouter();
  const [problems, setProblems] = useState<readonly Problem[]>([]);

  const importFile = async (file: File) => {
    const text = await readText(file, MOST_DOCUMENT_BYTES);
    if (!text.ok) return setProblems(text.problems);
    try {
      const response = await fetch('/api/manoeuvres', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: text.value,
      });
      const answer = answerSchema.parse(await response.json());
      if ('id' in answer) router.push(`/m/${answer.id}`);
      else setProblems(answer.problems);
    } catch {
      setProblems([
        { path: file.name, message: 'could not be sent; is the server still running?' },
      ]);
    }
  };

  return (
    <section aria-label="Import a file">
      <FileButton
        label="Manoeuvre file"
        accept=".json,application/json"
        className="flex min-h-10 items-center gap-2 border border-ink px-4 font-semibold hover:border-plan hover:text-plan"
        onFile={(file) => void importFile(file)}
      >
        <FolderOpen size={16} /> Import a file
      </FileButton>
      <Problems problems={problems} lead="The file was not imported; nothing has changed." />
    </section>
  );
}
