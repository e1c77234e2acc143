import type { SimState, World } from '../../simulation';
import type { Parameters, Values } from '../parameters';
import { clear } from './clear';
import type { ExpectationDefinition, ExpectationFinding } from './definition';
import { heading } from './heading';
import { line } from './line';
import { near } from './near';
import { onLine } from './on-line';
import { speed } from './speed';
import { turning } from './turning';

export type { ExpectationFinding } from './definition';

/** Every expectation there is, by its name. */
export const EXPECTATIONS = { heading, onLine, speed, turning, clear, near, line } as const;

export type Expectations = typeof EXPECTATIONS;
export type ExpectationName = keyof Expectations;

/** Seconds after the cue, or at the cue of the next step. */
export type ExpectAt = { readonly after: number } | 'next';

type Of<T> = T extends { readonly is: infer I; readonly parameters: infer P extends Parameters }
  ? { readonly is: I; readonly at: ExpectAt } & Values<P>
  : never;
export type Expectation = { [I in ExpectationName]: Of<Expectations[I]> }[ExpectationName];

type AnyExpectation = ExpectationDefinition<string, Record<string, never>>;

/** Looks at what was expected; see the definition of each. */
export const lookAt = (
  expected: Expectation,
  state: SimState,
  world: World,
  clearance: number,
): ExpectationFinding =>
  (EXPECTATIONS[expected.is] as unknown as AnyExpectation).look(
    expected as never,
    state,
    world,
    clearance,
  );
