/** A lane of the plan: a curve against time with its own scale. */
export interface Lane {
  readonly name: string;
  readonly height: number;
  /** Words at the top and foot of the scale, or figures. */
  readonly top: string;
  readonly foot: string;
  /** Draws a filled area from zero instead of a line. */
  readonly filled: boolean;
  readonly path: string;
  /** y of the zero line within the lane, or null when zero is not in it. */
  readonly zero: number | null;
  /** Names of rows within it, and where they stand. */
  readonly rows?: readonly { readonly name: string; readonly y: number }[];
  /** What it reads at a moment. */
  read(time: number): string;
}
