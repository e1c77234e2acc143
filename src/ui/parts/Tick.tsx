import type { ReactNode } from 'react';

/** A box to tick, with its words. */
export function Tick({
  checked,
  onChange,
  className = 'min-h-8',
  children,
}: {
  checked: boolean;
  onChange: (checked: boolean) => void;
  className?: string;
  children: ReactNode;
}) {
  return (
    <label className={`flex cursor-pointer items-center gap-2 ${className}`}>
      <input
        type="checkbox"
        className="size-4 min-h-0 accent-plan"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      {children}
    </label>
  );
}
