import type { OrderDocument, PlanDocument, StepDocument } from '@/document';

interface DueOrder {
  readonly at: number;
  readonly order: OrderDocument;
}

/** A moment comes no more exactly than this, s. */
const EXACT_S = 1e-6;

/** Orders of a plan's steps as they fall due while somebody goes by it, s of the boat's time. */
export class OrdersDue {
  private due: readonly DueOrder[] = [];

  /** @param wanted which of a step's orders are gone by */
  constructor(private readonly wanted: (order: OrderDocument) => boolean) {}

  begin({ orders }: Pick<StepDocument, 'orders'>, time: number): void {
    const more = orders.filter(this.wanted).map((order) => ({ at: time + order.after_s, order }));
    this.due = [...this.due, ...more];
  }

  forget(): void {
    this.due = [];
  }

  /** Those that have come by now, to be given at once; they do not come again. */
  come(time: number): OrderDocument[] {
    const isDue = ({ at }: DueOrder) => at <= time + EXACT_S;
    const now = this.due.filter(isDue);
    this.due = this.due.filter((one) => !isDue(one));
    return now.map(({ order }) => ({ ...order, after_s: 0 }));
  }
}

/** What one order takes the place of: the same kind of order to the same thing. */
const keyOf = (order: OrderDocument): string =>
  [order.do, 'engine' in order && order.engine, 'thruster' in order && order.thruster].join(' ');

/**
 * What stands of a plan's orders to the controls once a step of it has come: the last of each kind, in the order they were given in, so that whoever takes the helm
 * there does what the plan has it do.
 */
export function standingOrders(
  { steps }: Pick<PlanDocument, 'steps'>,
  upTo: number,
  wanted: (order: OrderDocument) => boolean,
): OrderDocument[] {
  const last = new Map<string, OrderDocument>();
  for (const { orders } of steps.slice(0, upTo + 1))
    for (const order of orders.filter((one) => one.do !== 'call' && wanted(one))) {
      last.delete(keyOf(order));
      last.set(keyOf(order), { ...order, after_s: 0 });
    }
  return [...last.values()];
}
