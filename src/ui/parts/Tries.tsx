export const BUTTON =
  'min-h-9 border border-ink px-3 font-semibold hover:border-plan hover:text-plan disabled:border-hairline disabled:text-quiet';

/** How far work that goes by tries has come, with its Stop. */
export function Tries({
  made,
  onStop,
}: {
  made: { readonly tries: number; readonly of: number } | null;
  onStop: () => void;
}) {
  return (
    <p role="status" className="flex items-center gap-3">
      <progress
        aria-label="Tries made"
        value={made?.tries ?? 0}
        max={made?.of ?? 1}
        className="h-2 w-28"
      />
      <span className="figures">{made?.tries ?? 0} tries</span>
      <button type="button" className={BUTTON} onClick={onStop}>
        Stop
      </button>
    </p>
  );
}
