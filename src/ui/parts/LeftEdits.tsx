import { dayAndTime } from '../words/when';

/** Edits that did not reach the server when they were made: to be used, or thrown away. */
export function LeftEdits({
  at,
  older,
  onUse,
  onDiscard,
}: {
  /** When the last of them was made, ms since 1970. */
  at: number;
  /** What is saved was changed since. */
  older: boolean;
  onUse: () => void;
  onDiscard: () => void;
}) {
  const button = 'min-h-9 border border-ink px-3 font-semibold hover:border-plan hover:text-plan';
  return (
    <div
      role="alert"
      data-testid="left-edits"
      className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b-2 border-hurt bg-paper px-3 py-1.5"
    >
      <p>
        Edits made here on <span className="figures">{dayAndTime(at)}</span> did not reach the
        server.{older ? ' What is saved has changed since then.' : ''}
      </p>
      <button type="button" className={button} onClick={onUse}>
        Use these edits
      </button>
      <button type="button" className={button} onClick={onDiscard}>
        Discard them
      </button>
    </div>
  );
}
