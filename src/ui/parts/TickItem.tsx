interface Size {
  readonly row: string;
  readonly box: string;
  readonly why: string;
}

/** In a panel, or on a card where a wet finger has to hit it. */
const SIZES = {
  panel: {
    row: 'min-h-8 gap-2 py-1',
    box: 'mt-0.5 size-4',
    why: 'text-[12.5px]',
  },
  card: {
    row: 'min-h-12 gap-3 py-1.5 print:min-h-0 print:py-0.5',
    box: 'mt-[0.15em] size-[1.15em] min-h-0',
    why: 'text-[0.78em] font-normal',
  },
} as const satisfies Record<string, Size>;

/** A row of a list that is ticked off: what, and why under it. */
export function TickItem({
  text: [what, why],
  hurts = false,
  size,
  checked,
  onChange,
}: {
  text: readonly [string, string];
  hurts?: boolean;
  size: keyof typeof SIZES;
  checked: boolean;
  onChange: (checked: boolean) => void;
}) {
  const look = SIZES[size];
  return (
    <li className="rule-t break-inside-avoid">
      <label className={`flex cursor-pointer items-start ${look.row}`}>
        <input
          type="checkbox"
          className={`shrink-0 accent-plan ${look.box}`}
          checked={checked}
          onChange={(event) => onChange(event.target.checked)}
        />
        <span className={hurts ? 'font-semibold text-hurt' : ''}>
          {hurts ? '▲ ' : ''}
          {what}
          {why && <span className={`block text-quiet ${look.why}`}>{why}</span>}
        </span>
      </label>
    </li>
  );
}
