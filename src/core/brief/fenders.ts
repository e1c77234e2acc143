/** Where fenders hang on the side of the boat's berth; m over the water. */
export interface FenderHeight {
  /** Middle of the fender. */
  readonly middle: number;
  /** What sets it: the boat's own deck edge, or the edge it lies against. */
  readonly by: 'deck' | 'berth';
  /** The edge stands above the boat's deck: fenders alone may ride up or be rolled over. */
  readonly edgeAboveDeck: boolean;
}

/**
 * Height at which a cylinder covers the edge that would touch: the lower of the boat's deck edge and the berth's edge, with
 * a third of the fender above it, and no more than half of it in the water.
 *
 * @param edge top of the berth over the water, `deck` of its deck edge, `length` of a fender, m
 */
export function fenderHeight(edge: number, deck: number, length: number): FenderHeight {
  const by = edge < deck ? 'berth' : 'deck';
  const touched = Math.min(edge, deck);
  // Its middle on the water leaves half of it dry.
  const middle = Math.max(touched - length / 6, 0);
  return { middle, by, edgeAboveDeck: edge > deck };
}
