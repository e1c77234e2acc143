import type { SimState, World } from '../../simulation';
import type { Parameters, Values } from '../parameters';

/**
 * A cue being waited for. `level` is continuous in time, below zero before the cue and zero or above
 * once it has come, so the moment can be found inside a timestep by interpolation.
 */
export interface Trigger {
  level(state: SimState, world: World): number;
}

/** Is somebody of the crew aboard? Null while they are neither here nor there. */
export type IsAboard = (who: number) => boolean | null;

export interface CueDefinition<I extends string, P extends Parameters> {
  readonly is: I;
  readonly parameters: P;
  /** Armed at the moment the last step began. */
  arm(cue: Values<P>, armed: SimState, world: World, aboard: IsAboard): Trigger;
  /** The parameter that is a figure, and what it would have to be to come true in a state: by it a step is moved in time. */
  readonly figure?: {
    readonly of: string;
    now(cue: Values<P>, state: SimState, world: World, from: SimState): number;
  };
}

export const cue = <I extends string, const P extends Parameters>(
  name: I,
  rest: Omit<CueDefinition<I, P>, 'is'>,
): CueDefinition<I, P> => ({ is: name, ...rest });

/** A cue as it is waited for. */
export type CueOf<T> = T extends {
  readonly is: infer I;
  readonly parameters: infer P extends Parameters;
}
  ? { readonly is: I } & Values<P>
  : never;
