'use client';
import type { ReactNode } from 'react';

/** A button that shows only a picture; its label is read out and shown on hovering. */
export function IconButton({
  label,
  disabled,
  onClick,
  children,
}: {
  label: string;
  disabled?: boolean;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
      className="flex size-[30px] shrink-0 items-center justify-center text-ink hover:text-plan disabled:text-quiet disabled:opacity-50"
    >
      {children}
    </button>
  );
}
