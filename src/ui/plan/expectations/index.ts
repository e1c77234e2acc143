import { EXPECTATIONS, type ExpectationName } from '@/core/plan';
import { EXPECTED_LATER_S } from '@/core/policy';
import type { ExpectationDocument } from '@/document';
import { tidy, type Units } from '../../words/units';
import {
  freshValues,
  fromValues,
  toValues,
  type FirstNames,
  type PartValues,
} from '../part-values';
import type { ExpectationView } from '../part-view';
import { clear } from './clear';
import { heading } from './heading';
import { line } from './line';
import { near } from './near';
import { onLine } from './on-line';
import { speed } from './speed';
import { turning } from './turning';

/** How every expectation looks, in the order they are listed. */
export const EXPECTATION_VIEWS: { readonly [I in ExpectationName]: ExpectationView<I> } = {
  clear,
  heading,
  onLine,
  speed,
  turning,
  near,
  line,
};

/** The view of an expectation whose kind is not known beforehand. */
export const viewOfExpectation = (name: ExpectationName): ExpectationView<ExpectationName> =>
  EXPECTATION_VIEWS[name] as unknown as ExpectationView<ExpectationName>;

/** An expectation as a row of fields: looked at by the next step, or some seconds after the cue. */
export interface ExpectRow {
  is: ExpectationName;
  at: 'next' | 'after';
  after: number;
  values: PartValues;
}

export const freshExpect = (first: FirstNames, is: ExpectationName = 'clear'): ExpectRow => ({
  is,
  at: 'next',
  after: EXPECTED_LATER_S,
  values: freshValues(EXPECTATIONS[is].parameters, viewOfExpectation(is), first),
});

export const expectRow = (expected: ExpectationDocument, units: Units): ExpectRow => ({
  is: expected.is,
  at: expected.at === 'next' ? 'next' : 'after',
  after: expected.at === 'next' ? EXPECTED_LATER_S : expected.at.after_s,
  values: toValues(
    EXPECTATIONS[expected.is].parameters,
    expected,
    viewOfExpectation(expected.is),
    units,
  ),
});

/** The expectation the fields describe, not yet checked. */
export const expectFrom = ({ is, at, after, values }: ExpectRow, units: Units) =>
  ({
    is,
    at: at === 'next' ? 'next' : { after_s: after },
    ...fromValues(EXPECTATIONS[is].parameters, values, viewOfExpectation(is), units),
  }) as unknown as ExpectationDocument;

export function expectationText(expected: ExpectationDocument, units: Units): string {
  const { at } = expected;
  const when = at === 'next' ? 'by the next step' : `after ${tidy(at.after_s, 1)} s`;
  return viewOfExpectation(expected.is).text(expected, units, when);
}
