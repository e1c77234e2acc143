'use client';
import { FolderOpen } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Problem } from '@/document';
import { Problems } from '../parts/Problems';
import { FileButton } from '../parts/FileButton';
import { BUTTON } from '../parts/AreaFrame';
import { MOST_DOCUMENT_BYTES, readText } from '../parts/read-text';
import { saveDocument } from '../parts/save-document';

/** Takes in a boat file from this computer. */
export function ImportBoat() {
  const router = useRouter();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const importFile = async (file: File) => {
    const text = await readText(file, MOST_DOCUMENT_BYTES);
    if (!text.ok) return setProblems(text.problems);
    const answer = await saveDocument('POST', '/api/boats', text.value);
    if (answer.ok) router.push(`/boats/${answer.value.id ?? ''}`);
    else setProblems(answer.problems);
  };
  return (
    <div>
      <FileButton
        label="Boat file"
        accept=".json,application/json"
        className={BUTTON}
        onFile={(file) => void importFile(file)}
      >
        <FolderOpen size={16} /> Open a boat file
      </FileButton>
      <Problems problems={problems} lead="The file was not imported; nothing has changed." />
    </div>
  );
}
