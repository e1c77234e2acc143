/** Where fenders hang on the side of her berth; m over the water. */
export interface FenderHeight {
  /** Middle of the fender. */
  readonly middle: number;
  /** What sets it: her own deck edge, or the edge she lies against. */
  readonly by: 'deck' | 'berth';
  /** The edge stands above her deck: fenders alone may ride up or be rolled over. */
  readonly edgeAboveDeck: boolean;
}

/**
 * Height at which a cylinder covers the edge that would touch: the lower of her deck edge and the berth's edge, with
 * a third of the fender above it, and no more than half of it in the water.
 *
 * @param edge top of the berth over the water, `deck` of her deck edge, `length` of a fender, m
 */
export function fenderHeight(edge: number, deck: number, length: number): FenderHeight {
  const by = edge < deck ? 'berth' : 'deck';
  const touched = Math.min(edge, deck);
  // Its middle on the water leaves half of it dry.
  const middle = Math.max(touched - length / 6, 0);
  return { middle, by, edgeAboveDeck: edge > deck };
}
