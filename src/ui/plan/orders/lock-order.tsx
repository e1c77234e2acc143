import type { ReactNode } from 'react';
import { named } from '../options';
import type { FieldsProps } from '../part-view';
import { RowChoice } from '../RowFields';
import { useNames } from '../use-names';
import { By } from './line-order';

/** Fields of an order at a lock: which, if there are several, what there, and by whom. */
export function LockOrder({ at, children }: Pick<FieldsProps, 'at'> & { children: ReactNode }) {
  const { locks, crew } = useNames();
  return (
    <>
      {locks.length > 1 && (
        <RowChoice
          name={`${at}.lock`}
          label="Lock"
          options={named(locks.map(({ name }) => name))}
        />
      )}
      {children}
      <By at={at} crew={crew} nobody="the keeper" />
    </>
  );
}
