/** A call to the crew: large enough for a thumb. */
export const CALL =
  'min-h-9 border border-ink px-2 text-left text-[13px] hover:border-plan hover:text-plan disabled:opacity-50';
