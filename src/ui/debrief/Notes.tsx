'use client';
import { useState } from 'react';
import type { RunNote } from '@/document';
import { usePlayhead } from '../state/playhead';
import { clock } from '../words/units';
import type { OpenReview } from './use-runs';

const MOST = 2000;

/** What student and instructor say of a run, each pinned to the moment the playhead stood at. */
export function Notes({
  open,
  setNotes,
}: {
  open: OpenReview;
  setNotes: (notes: readonly RunNote[]) => Promise<boolean>;
}) {
  const seek = usePlayhead((p) => p.seek);
  const time = usePlayhead((p) => p.time);
  const [text, setText] = useState('');
  const [by, setBy] = useState<RunNote['by']>('student');
  const [failed, setFailed] = useState(false);
  const { notes } = open.file;
  const save = async (next: readonly RunNote[]) => {
    const saved = await setNotes(next);
    setFailed(!saved);
    return saved;
  };
  const add = async () => {
    const note: RunNote = { at_s: Number(time.toFixed(1)), by, text: text.trim() };
    const next = [...notes, note].toSorted((a, b) => a.at_s - b.at_s);
    if (note.text && (await save(next))) setText('');
  };
  return (
    <section aria-label="Notes" className="rule-t py-2">
      <h2 className="text-[15px] font-semibold">Notes</h2>
      <ul>
        {notes.map((note, i) => (
          <li
            key={`${note.at_s}-${i}`}
            className="rule-t flex items-baseline gap-3 py-1 text-[13px]"
          >
            <button
              type="button"
              className="figures w-10 shrink-0 text-left text-plan underline"
              onClick={() => seek(note.at_s)}
            >
              {clock(note.at_s)}
            </button>
            <span className="flex-1 whitespace-pre-wrap break-words">
              {note.text} <span className="text-quiet">{note.by}</span>
            </span>
            <button
              type="button"
              className="text-plan underline print:hidden"
              aria-label={`Take out the note of ${clock(note.at_s)}`}
              onClick={() => void save(notes.filter((one) => one !== note))}
            >
              out
            </button>
          </li>
        ))}
      </ul>
      <form
        className="flex flex-wrap items-end gap-2 pt-1 print:hidden"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <textarea
          aria-label={`Note for ${clock(time)}`}
          placeholder={`At ${clock(time)}: what was different?`}
          value={text}
          maxLength={MOST}
          rows={2}
          onChange={(event) => setText(event.target.value)}
          className="w-full"
        />
        <label className="flex items-center gap-1 text-[13px]">
          by
          <select
            value={by}
            onChange={(event) =>
              setBy(event.target.value === 'instructor' ? 'instructor' : 'student')
            }
            className="border-b border-quiet bg-paper"
          >
            <option value="student">student</option>
            <option value="instructor">instructor</option>
          </select>
        </label>
        <button
          type="submit"
          className="min-h-8 border-2 border-ink px-2 text-[13px] hover:text-plan"
        >
          Pin it to {clock(time)}
        </button>
        {failed && (
          <p role="alert" className="text-[13px] font-semibold text-hurt">
            Not kept: the server does not answer. Try again.
          </p>
        )}
      </form>
    </section>
  );
}
