'use client';
import { Trash2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { z } from 'zod';
import { ownTechniqueSchema, type ManoeuvreFile, idFrom, type OwnTechnique } from '@/document';
import { keepAsTechnique, unfitOwn } from '@/planner';
import { saveDocument } from '../parts/save-document';
import { IconButton } from '../parts/IconButton';
import { BUTTON } from '../parts/Tries';
import { refusalWords } from '../words/refusals';

const listSchema = z.array(ownTechniqueSchema);

/** The user's own techniques: to be laid on this manoeuvre, and these steps to be kept as one. */
export function OwnTechniques({
  file,
  onChoose,
}: {
  file: ManoeuvreFile;
  onChoose: (technique: OwnTechnique) => void;
}) {
  const [list, setList] = useState<readonly OwnTechnique[]>([]);
  const [name, setName] = useState('');
  const [said, setSaid] = useState<string | null>(null);
  /** Counts changes: the list is read anew after each. */
  const [turn, setTurn] = useState(0);
  useEffect(() => {
    const stop = new AbortController();
    fetch('/api/techniques', { signal: stop.signal })
      .then((response) => response.json())
      .then((found) => setList(listSchema.parse(found)))
      .catch(() => {
        if (!stop.signal.aborted)
          setSaid('Your techniques could not be read; is the server still running?');
      });
    return () => stop.abort();
  }, [turn]);

  const keep = async () => {
    const kept = keepAsTechnique(file, idFrom(name, 'technique'), name.trim());
    if (!kept.ok) return setSaid(kept.problems.map(({ message }) => message).join('; '));
    const answer = await saveDocument('POST', '/api/techniques', JSON.stringify(kept.value));
    if (!answer.ok) return setSaid(answer.problems.map(({ message }) => message).join('; '));
    setSaid(`${kept.value.name} is kept.`);
    setName('');
    setTurn(turn + 1);
  };
  const remove = async ({ id, name: called }: OwnTechnique) => {
    const answer = await saveDocument('DELETE', `/api/techniques/${id}`, null);
    setSaid(answer.ok ? `${called} is taken out.` : answer.problems[0]!.message);
    setTurn(turn + 1);
  };

  return (
    <div className="pt-1.5">
      {list.length > 0 && (
        <ul aria-label="Your own techniques">
          {list.map((technique) => {
            const unfit = unfitOwn(technique, file);
            return (
              <li key={technique.id} className="flex items-center gap-1">
                <button
                  type="button"
                  className="min-h-8 flex-1 text-left font-semibold underline decoration-1 underline-offset-3 hover:text-plan disabled:text-quiet disabled:no-underline"
                  disabled={unfit !== null}
                  title={unfit ? refusalWords(unfit) : undefined}
                  onClick={() => onChoose(technique)}
                >
                  {technique.name}
                </button>
                <IconButton
                  label={`Take out ${technique.name}`}
                  onClick={() => void remove(technique)}
                >
                  <Trash2 size={14} />
                </IconButton>
              </li>
            );
          })}
        </ul>
      )}
      <form
        className="flex items-end gap-2 pt-1"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim()) void keep();
        }}
      >
        <input
          type="text"
          aria-label="Name of your technique"
          placeholder="name these steps"
          className="min-w-0 flex-1"
          maxLength={80}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <button type="submit" className={BUTTON} disabled={!name.trim()}>
          Save as a technique
        </button>
      </form>
      {said && (
        <p role="status" className="pt-1 text-[12.5px] text-quiet">
          {said}
        </p>
      )}
    </div>
  );
}
