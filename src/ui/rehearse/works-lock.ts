import type { PlanDocument } from '@/document';

/** Whoever the plan has work a lock; where it has nobody do so whoever is ashore as it begins; null for the keeper. */
export function worksLock({ steps, crew }: PlanDocument, lock: string): string | null {
  for (const { orders } of steps)
    for (const order of orders)
      if ((order.do === 'paddle' || order.do === 'gates') && order.lock === lock)
        return order.by ?? null;
  return crew.find(({ at }) => 'ashore' in at)?.name ?? null;
}
