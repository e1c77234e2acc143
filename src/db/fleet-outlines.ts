import { toBoatSpec } from '@/document';
import { keptBoats } from './boats';
import type { Library } from './open';

/** Every boat of the fleet as it looks from above, deck in body axes, x ahead, y to starboard; and its size, m. */
export function fleetOutlines(db: Library) {
  return keptBoats.list(db).flatMap(({ id, document }) => {
    if (!document) return [];
    const { deck, length, beam, draught, airDraught = 0 } = toBoatSpec(document).hull;
    const corners = Array.from({ length: deck.length / 2 }, (_, i): [number, number] => [
      deck[2 * i]!,
      deck[2 * i + 1]!,
    ]);
    return [{ id, name: document.name, deck: corners, length, beam, draught, airDraught }];
  });
}
