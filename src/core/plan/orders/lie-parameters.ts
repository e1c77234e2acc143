/** Where a boat is to be brought to lie: a point of it by a mark, on a heading. */
export const LIE_PARAMETERS = {
  point: { kind: 'point' },
  mark: { kind: 'mark' },
  within: { kind: 'distance', least: 0.1, most: 100 },
  heading: { kind: 'heading' },
  headingWithin: { kind: 'angle', lateral: false, least: 1, most: 90 },
} as const;
