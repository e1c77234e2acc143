import type { SimState, World } from '../../simulation';
import type { Parameters, Values } from '../parameters';

/** What was found when an expectation was looked at, in its own unit (rad, m/s, rad/s, m, N). */
export interface ExpectationFinding {
  readonly met: boolean;
  readonly found: number;
}

export interface ExpectationDefinition<I extends string, P extends Parameters> {
  readonly is: I;
  readonly parameters: P;
  /** A parameter that must not be less than another, and what is said where it is. */
  readonly atLeast?: { readonly of: readonly [string, string]; readonly says: string };
  /** @param clearance least clearance so far in this step from anything but the berth, m */
  look(expected: Values<P>, state: SimState, world: World, clearance: number): ExpectationFinding;
}

export const expectation = <I extends string, const P extends Parameters>(
  name: I,
  rest: Omit<ExpectationDefinition<I, P>, 'is'>,
): ExpectationDefinition<I, P> => ({ is: name, ...rest });
