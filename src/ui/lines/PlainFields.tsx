'use client';
import { useId, useState } from 'react';
import { FieldError } from '../parts/Field';

/** A field that writes when it is left or Enter is pressed; what is wrong with it stands under it, and is not written. */
function usePlain(shown: string, commit: (text: string) => string | null) {
  const [text, setText] = useState(shown);
  const [was, setWas] = useState(shown);
  const [error, setError] = useState<string | null>(null);
  // A document changed from outside is shown.
  if (was !== shown) {
    setWas(shown);
    setText(shown);
    setError(null);
  }
  const leave = () => {
    if (text !== shown) setError(commit(text));
    else setError(null);
  };
  return { text, setText, error, leave };
}

interface Common {
  readonly label: string;
}

export function PlainText({
  label,
  value,
  onCommit,
}: Common & { value: string; onCommit: (value: string) => string | null }) {
  const id = useId();
  const { text, setText, error, leave } = usePlain(value, onCommit);
  return (
    <span className="flex min-w-0 flex-1 flex-col">
      <input
        type="text"
        id={id}
        aria-label={label}
        aria-invalid={error ? true : undefined}
        className="w-full font-semibold"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={leave}
        onKeyDown={(event) => event.key === 'Enter' && leave()}
      />
      <FieldError error={error ?? undefined} />
    </span>
  );
}

export function PlainNumber({
  label,
  unit,
  value,
  onCommit,
}: Common & { unit: string; value: number; onCommit: (value: number) => string | null }) {
  const { text, setText, error, leave } = usePlain(String(value), (given) =>
    given.trim() === '' ? 'give a number' : onCommit(Number(given)),
  );
  return (
    <span className="inline-flex flex-col align-top">
      <span className="inline-flex items-baseline gap-1">
        <input
          type="number"
          step="any"
          aria-label={label}
          aria-invalid={error ? true : undefined}
          style={{ width: `max(52px, ${text.length + 2}ch)` }}
          className="figures text-[15px]"
          value={text}
          onChange={(event) => setText(event.target.value)}
          onBlur={leave}
          onKeyDown={(event) => event.key === 'Enter' && leave()}
        />
        <span className="text-quiet">{unit}</span>
      </span>
      <FieldError error={error ?? undefined} />
    </span>
  );
}
