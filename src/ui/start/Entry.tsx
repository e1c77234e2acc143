import { Play } from 'lucide-react';
import Link from 'next/link';
import { Picture } from '../pictures/Picture';
import { lastWords } from '../words/start';
import type { StartEntry } from './entries';

/** One manoeuvre: its plan in small, its name, its boat and how sure it is. */
export function Entry({ entry }: { entry: StartEntry }) {
  const { id, title, boat, place } = entry;
  const last = lastWords(entry);
  return (
    <li className="flex min-w-0 flex-col">
      <Link
        href={`/m/${id}`}
        title={entry.note}
        className="group grid gap-x-3 max-sm:grid-cols-[128px_minmax(0,1fr)]"
      >
        <Picture of={`/api/manoeuvres/${id}/picture`} className="w-full" />
        <span className="min-w-0 pt-1.5 max-sm:pt-0">
          <span className="line-clamp-2 text-[16px] font-bold leading-tight group-hover:text-plan">
            {title}
          </span>
          <span className="block truncate pt-0.5 text-[13px] text-quiet">
            {boat}, {place}
          </span>
          <span
            className={`figures block text-[14.5px] ${last.warns ? 'font-semibold text-hurt' : ''}`}
          >
            {last.warns && '▲ '}
            {last.text}
            <span className="font-normal text-quiet"> {last.beside}</span>
          </span>
        </span>
      </Link>
      <Link
        href={`/m/${id}?do=rehearse`}
        aria-label={`Drive it: ${title}`}
        className="inline-flex min-h-9 w-fit items-center gap-1.5 text-[13.5px] font-semibold text-plan max-sm:ml-[140px]"
      >
        <Play size={13} aria-hidden /> Drive it
      </Link>
    </li>
  );
}

/** One that cannot be read: it can be opened, to see what is wrong with it. */
export function UnreadableEntry({ entry: { id, title } }: { entry: StartEntry }) {
  return (
    <li className="rule-b py-3">
      <Link href={`/m/${id}`} className="font-bold hover:text-plan">
        {title}
      </Link>
      <p className="text-[14px] font-semibold text-hurt">
        This manoeuvre cannot be read. It is stored unchanged; open it to see what is wrong.
      </p>
    </li>
  );
}
