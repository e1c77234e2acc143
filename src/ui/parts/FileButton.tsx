'use client';
import { useRef, type ReactNode } from 'react';

/** A button that asks for a file of this computer. The same file can be given twice. */
export function FileButton({
  label,
  accept,
  className,
  onFile,
  children,
}: {
  /** What the file is. */
  label: string;
  accept: string;
  className: string;
  onFile: (file: File) => void;
  children: ReactNode;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
      <button type="button" className={className} onClick={() => input.current?.click()}>
        {children}
      </button>
    </>
  );
}
