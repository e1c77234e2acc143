import type { Ticked } from '@/document';
import { useWorkspace } from '../state/context';

/** What has been ticked off, kept with the manoeuvre and undone like any other edit; and how many of some are still to do. */
export function useTicks(items: readonly Ticked[]) {
  const ready = useWorkspace((s) => s.manoeuvre.ready);
  const edit = useWorkspace((s) => s.edit);
  const left = items.filter((item) => !ready.includes(item)).length;
  return {
    told: left === 0 ? 'all of it ticked' : `${left} of ${items.length} to do`,
    any: left < items.length,
    is: (item: Ticked) => ready.includes(item),
    put: (item: Ticked, on: boolean) =>
      edit((m) => {
        m.ready = on ? [...m.ready, item] : m.ready.filter((ticked) => ticked !== item);
      }),
    clear: () =>
      edit((m) => {
        m.ready = m.ready.filter((ticked) => !items.includes(ticked));
      }),
  };
}
