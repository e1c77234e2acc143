import type { SaveState } from '../hooks/use-autosave';
import { saveWords } from '../words/save';

/** Whether what is on the screen is kept, in a band. */
export function Saved({ save, className = '' }: { save: SaveState; className?: string }) {
  const troubled = save.is === 'waiting' || save.is === 'conflict';
  return (
    <p
      role="status"
      data-testid="save"
      className={`${className} shrink-0 text-[13px] ${troubled ? 'font-semibold text-hurt' : 'text-quiet'}`}
      suppressHydrationWarning
    >
      {saveWords(save)}
    </p>
  );
}
