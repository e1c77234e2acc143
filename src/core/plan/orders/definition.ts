import type { SimState, World } from '../../simulation';
import type { Channel } from '../channel';
import type { CrewAt } from '../crew-at';
import type { CrewMember, Job } from '../crew-member';
import type { Parameters, Values } from '../parameters';

interface Common<D extends string, P extends Parameters> {
  readonly do: D;
  readonly parameters: P;
  /** Two parameters of which one may be given, and what is said of both. */
  readonly notBoth?: { readonly of: readonly [string, string]; readonly says: string };
}

interface Given<P extends Parameters> {
  channel(order: Values<P>): Channel;
  /** How far two of them are from meaning the same: nought the same, Infinity never the same thing. */
  unlike(a: Values<P>, b: Values<P>): number;
}

/** Done at the helm: by whoever stands there. */
export interface HelmDefinition<D extends string, P extends Parameters>
  extends Common<D, P>, Given<P> {
  readonly by: 'helm';
  /** What the boat has to have for it. */
  readonly needs?: 'steering' | 'engine' | 'joystick';
  /** Goes by what is judged by eye: its distances and speeds are off as a cue's are. */
  readonly byEye?: true;
  /** Whoever does it looks all the time: what they are out by goes with the order, what it asks stays as it is. */
  readonly watches?: true;
  /** Any control takes the boat from the joystick, but the joystick. */
  readonly keepsJoystick?: boolean;
  apply(order: Values<P> & ByEye, state: SimState, world: World): void;
}

/** Done by people away from the helm, in their own time. */
export interface CrewDefinition<D extends string, P extends Parameters>
  extends Common<D, P>, Given<P> {
  readonly by: 'crew';
  /** Who does it where nobody is named: whoever is at hand by the line, or the keeper of a lock; else somebody is. */
  readonly atHand: 'line' | 'keeper' | null;
  job(crew: CrewAt, member: CrewMember, order: Values<P>): Job;
}

/** Done by the helm of another boat. */
export interface OtherDefinition<D extends string, P extends Parameters> extends Common<D, P> {
  readonly by: 'other boat';
  apply(order: Values<P>, state: SimState, world: World): void;
}

/** Said: nothing aboard changes by it. */
export interface SaidDefinition<D extends string, P extends Parameters> extends Common<D, P> {
  readonly by: 'voice';
}

type Rest<T> = Omit<T, 'do' | 'by'>;

export const helmOrder = <D extends string, const P extends Parameters>(
  name: D,
  rest: Rest<HelmDefinition<D, P>>,
): HelmDefinition<D, P> => ({ do: name, by: 'helm', ...rest });

export const crewOrder = <D extends string, const P extends Parameters>(
  name: D,
  rest: Rest<CrewDefinition<D, P>>,
): CrewDefinition<D, P> => ({ do: name, by: 'crew', ...rest });

export const otherOrder = <D extends string, const P extends Parameters>(
  name: D,
  rest: Rest<OtherDefinition<D, P>>,
): OtherDefinition<D, P> => ({ do: name, by: 'other boat', ...rest });

export const saidOrder = <D extends string, const P extends Parameters>(
  name: D,
  rest: Rest<SaidDefinition<D, P>>,
): SaidDefinition<D, P> => ({ do: name, by: 'voice', ...rest });

/**
 * How a person who watches is out: distances by a factor, angles by so much, rad, speeds, m/s, and how late they are with each thing they do, s; not at all where it is not
 * drawn. In no file.
 */
export interface ByEye {
  readonly eye?: number;
  readonly angle?: number;
  readonly fast?: number;
  readonly late?: number;
}

/** An order as it is given. */
export type OrderOf<T> = T extends {
  readonly do: infer D;
  readonly parameters: infer P extends Parameters;
}
  ? { readonly do: D } & Values<P>
  : never;

/** Of orders that are the same whatever else they say. */
export const alike = () => 0;
