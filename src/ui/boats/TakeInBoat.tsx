'use client';
import { FolderOpen } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useRef, useState, type ChangeEvent } from 'react';
import type { Problem } from '@/document';
import { BUTTON } from './BoatsFrame';
import { sendBoat } from './send-boat';

/** Takes in a boat file from this computer. */
export function TakeInBoat() {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const take = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    const answer = await sendBoat('POST', '/api/boats', await file.text());
    if (answer.ok) router.push(`/boats/${answer.value.id ?? ''}`);
    else setProblems(answer.problems);
  };
  return (
    <div>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        className="sr-only"
        tabIndex={-1}
        aria-label="Boat file"
        onChange={(event) => void take(event)}
      />
      <button type="button" className={BUTTON} onClick={() => input.current?.click()}>
        <FolderOpen size={16} /> Open a boat file
      </button>
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
