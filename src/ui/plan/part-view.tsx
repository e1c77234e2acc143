import type { ComponentType } from 'react';
import type { CueName, ExpectationName, Order, OrderName } from '@/core/plan';
import type { Boat, ExpectationDocument, OrderDocument, PlanDocument, SimpleCue } from '@/document';
import type { Units } from '../words/units';
import type { PartForm, PartValues } from './part-values';
import type { Names } from './use-names';

/** Where the fields of a part of a step stand in its form. */
export type ValuesAt =
  `${'orders' | 'wayOrders' | 'cues' | 'again.cues' | 'expect'}.${number}.values`;

export interface FieldsProps {
  readonly at: ValuesAt;
  readonly values: PartValues;
}

/** What an order of the core is told with. */
export interface About {
  readonly boat: Boat;
  readonly plan: Pick<PlanDocument, 'lines' | 'crew'>;
}

type OrderFile<D extends OrderName> = Extract<OrderDocument, { do: D }>;
type OrderGiven<D extends OrderName> = Extract<Order, { do: D }>;

/** How an order looks: its words and its fields. What it means is core/plan/orders. */
export interface OrderView<D extends OrderName> extends PartForm {
  /** Said before its fields. */
  readonly title: string;
  /** The words that add one; null where the boat, the place or the plan has nothing for it. */
  add(names: Names, boat: Boat): string | null;
  readonly Fields?: ComponentType<FieldsProps>;
  /** What more its fields show of it; and what they say that is not a parameter's own, over what they say by themselves. */
  show?(order: OrderFile<D>): PartValues;
  read?(values: PartValues): Readonly<Record<string, unknown>>;
  /** As it is told, without who is told and when: "wheel 20° starboard". */
  text(order: OrderFile<D>, units: Units): string;
  /** As it was given, told afterwards: "bow line hauled". */
  given(order: OrderGiven<D>, about: About): string;
}

type CueFile<I extends CueName> = Extract<SimpleCue, { is: I }>;

/** How a cue looks. What it means is core/plan/cues. */
export interface CueView<I extends CueName> extends PartForm {
  /** In the list of cues. */
  readonly title: string;
  readonly Fields?: ComponentType<FieldsProps>;
  /** As a crew would hear it: "mast abreast of pile 4". */
  text(cue: CueFile<I>, units: Units): string;
}

type ExpectationFile<I extends ExpectationName> = Extract<ExpectationDocument, { is: I }>;

/** How an expectation looks. What it means is core/plan/expectations. */
export interface ExpectationView<I extends ExpectationName> extends PartForm {
  readonly title: string;
  readonly Fields: ComponentType<FieldsProps>;
  /** @param when "by the next step", "after 5 s" */
  text(expected: ExpectationFile<I>, units: Units, when: string): string;
}
