'use client';
import { useId, type InputHTMLAttributes, type ReactNode } from 'react';
import type { UseFormRegisterReturn } from 'react-hook-form';

/** A number with its unit behind it. What is wrong with it stands right under it. */
export function NumberField({
  label,
  unit,
  registration,
  error,
  width = 52,
  showLabel = false,
  ...input
}: {
  label: string;
  unit?: string;
  registration: UseFormRegisterReturn;
  error: string | undefined;
  width?: number;
  showLabel?: boolean;
} & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <span className="inline-flex flex-col align-top">
      <span className="inline-flex items-baseline gap-1">
        {showLabel && <label htmlFor={id}>{label}</label>}
        <input
          {...input}
          {...registration}
          id={id}
          aria-label={showLabel ? undefined : label}
          aria-invalid={error ? true : undefined}
          aria-describedby={error ? `${id}-error` : undefined}
          type="number"
          step="any"
          style={{ width }}
          className="figures text-[15px]"
        />
        {unit && <span className="text-quiet">{unit}</span>}
      </span>
      <FieldError id={`${id}-error`} error={error} />
    </span>
  );
}

export function TextField({
  label,
  registration,
  error,
  rows,
  ...input
}: {
  label: string;
  registration: UseFormRegisterReturn;
  error: string | undefined;
  /** Lines shown at once, for what may be long; one without. */
  rows?: number;
} & InputHTMLAttributes<HTMLInputElement | HTMLTextAreaElement>) {
  const id = useId();
  const shared = {
    ...input,
    ...registration,
    id,
    'aria-label': label,
    'aria-invalid': error ? true : undefined,
    'aria-describedby': error ? `${id}-error` : undefined,
    className: 'w-full',
  };
  return (
    <span className="flex min-w-0 flex-1 flex-col">
      {rows ? <textarea {...shared} rows={rows} /> : <input {...shared} type="text" />}
      <FieldError id={`${id}-error`} error={error} />
    </span>
  );
}

export function FieldError({ id, error }: { id?: string; error: string | undefined }) {
  if (!error) return null;
  return (
    <span id={id} role="alert" className="max-w-60 text-[12.5px] font-semibold text-hurt">
      {error}
    </span>
  );
}

/** A part of a form with its name in the margin above. */
export function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <fieldset className="rule-t py-2.5">
      <legend className="sr-only">{name}</legend>
      <p className="mb-1 text-[12.5px] text-quiet" aria-hidden>
        {name}
      </p>
      {children}
    </fieldset>
  );
}
