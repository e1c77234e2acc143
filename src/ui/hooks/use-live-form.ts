'use client';
import { useEffect, useRef } from 'react';
import type { FieldValues, UseFormReturn } from 'react-hook-form';
import type { Result } from '@/document';
import type { Units } from '../words/units';

/**
 * Ties a form to a part of the document: every sound change of the fields is written at once, and a
 * document changed from outside (undo, a grip on the water), or shown in other units, is put into the
 * fields.
 *
 * Fields round what they show, so reading them back need not give the same document: only what the
 * user changes is written, never the rounding.
 */
export function useLiveForm<Form extends FieldValues, Part>(
  form: UseFormReturn<Form>,
  part: Part,
  toForm: (part: Part) => Form,
  fromForm: (form: Form) => Result<Part>,
  write: (part: Part) => Part,
  units: Units,
): void {
  const { subscribe, reset, getValues, trigger } = form;
  const shown = useRef(part);
  const shownIn = useRef(units);
  const asRead = useRef<string | null>(null);
  const act = useRef({ toForm, fromForm, write });
  useEffect(() => {
    act.current = { toForm, fromForm, write };
  });

  const readBack = (values: Form): string | null => {
    const result = act.current.fromForm(values);
    return result.ok ? JSON.stringify(result.value) : null;
  };

  useEffect(() => {
    asRead.current ??= readBack(act.current.toForm(shown.current));
    if (part === shown.current && units === shownIn.current) return;
    shown.current = part;
    shownIn.current = units;
    const values = act.current.toForm(part);
    asRead.current = readBack(values);
    reset(values);
  }, [part, units, reset]);

  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: () => {
          const result = act.current.fromForm(getValues());
          void trigger();
          if (!result.ok) return;
          const text = JSON.stringify(result.value);
          if (text === asRead.current) return;
          asRead.current = text;
          shown.current = act.current.write(result.value);
        },
      }),
    [subscribe, getValues, trigger],
  );
}
