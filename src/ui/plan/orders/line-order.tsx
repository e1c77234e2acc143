import type { ReactNode } from 'react';
import { the } from '../../words/lines';
import { named } from '../options';
import { ABSENT } from '../part-values';
import type { About, FieldsProps } from '../part-view';
import { RowChoice } from '../RowFields';
import { useNames } from '../use-names';

/** Who does it: one of the crew, or, where nobody has to be named, whoever the words say. */
export function By({
  at,
  crew,
  nobody = null,
}: Pick<FieldsProps, 'at'> & { crew: readonly string[]; nobody?: string | null }) {
  const others = nobody === null ? [] : [{ value: ABSENT, text: nobody }];
  return (
    <>
      <span className="text-quiet">by</span>
      <RowChoice name={`${at}.by`} label="By" options={[...others, ...named(crew)]} />
    </>
  );
}

/** Fields of an order about a line: which, what with it, and by whom. */
export function LineOrder({
  at,
  values,
  lines,
  children,
}: FieldsProps & { lines: 'ropes' | 'anchors' | 'lines'; children?: ReactNode }) {
  const names = useNames();
  // Another boat's line is its own crew's business.
  const crew = names.theirs.includes(String(values.line)) ? [] : names.crew;
  return (
    <>
      <RowChoice name={`${at}.line`} label="Line" options={named(names[lines])} />
      {children}
      <By at={at} crew={crew} nobody="whoever is at hand" />
    </>
  );
}

/** A line of the plan by its number, in a sentence. */
export const lineOf = (line: number, { plan }: About): string =>
  the(plan.lines[line]?.name ?? 'line');

export const personOf = (by: number, { plan }: About): string => plan.crew[by]?.name ?? 'somebody';
