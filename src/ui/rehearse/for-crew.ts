import { isDoneBy } from '@/core/plan';
import type { OrderDocument } from '@/document';

/** Is it for the second seat: whatever is not the helm's, the signal that goes with a lock among it? */
export const isForCrew = (order: OrderDocument): boolean =>
  isDoneBy(order, 'crew', 'other boat') || order.do === 'signal';
