'use client';
import { FolderOpen } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Problem } from '@/document';
import { FileButton } from '../parts/FileButton';
import { BUTTON } from './BoatsFrame';
import { sendBoat } from './send-boat';

/** Takes in a boat file from this computer. */
export function TakeInBoat() {
  const router = useRouter();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const take = async (file: File) => {
    const answer = await sendBoat('POST', '/api/boats', await file.text());
    if (answer.ok) router.push(`/boats/${answer.value.id ?? ''}`);
    else setProblems(answer.problems);
  };
  return (
    <div>
      <FileButton
        label="Boat file"
        accept=".json,application/json"
        className={BUTTON}
        onFile={(file) => void take(file)}
      >
        <FolderOpen size={16} /> Open a boat file
      </FileButton>
      <Problems problems={problems} lead="The file was not taken in; nothing has changed." />
    </div>
  );
}

/** What is wrong, field by field. */
export function Problems({ problems, lead }: { problems: readonly Problem[]; lead: string }) {
  if (problems.length === 0) return null;
  return (
    <div role="alert" className="mt-3 max-w-xl border-l-4 border-hurt-fill pl-3">
      <p className="font-semibold text-hurt">{lead}</p>
      <ul>
        {problems.map(({ path, message }) => (
          <li key={path + message}>
            <span className="figures">{path}</span>: {message}
          </li>
        ))}
      </ul>
    </div>
  );
}
