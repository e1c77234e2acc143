'use client';
import { FolderOpen } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Problem } from '@/document';
import { FileButton } from '../parts/FileButton';
import { Problems } from '../parts/Problems';

/** Imports a manoeuvre file from this computer. */
export function OpenFile() {
  const router = useRouter();
  const [problems, setProblems] = useState<readonly Problem[]>([]);

  const importFile = async (file: File) => {
    // Reading and checking come when a file is there: most who see this page import nothing.
    const { importManoeuvre } = await import('./import-manoeuvre');
    const imported = await importManoeuvre(file);
    if (imported.ok) router.push(`/m/${imported.value}`);
    else setProblems(imported.problems);
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
