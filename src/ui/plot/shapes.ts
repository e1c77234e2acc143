import type { Palette } from '../theme/palette';

/** What is drawn of a thing on a plan, in metres east and north, whatever draws it: canvas or picture. */

export type XY = readonly [number, number];

/** Colours by their names; stroke widths and dashes in pixels. */
interface Paint {
  readonly fill?: keyof Palette;
  readonly stroke?: keyof Palette;
  readonly width?: number;
  readonly dash?: readonly number[];
  /** 1 if not given. */
  readonly opacity?: number;
}

export type Shape = Paint &
  (
    | { readonly is: 'ring' | 'line'; readonly points: readonly XY[] }
    | { readonly is: 'disc'; readonly at: XY; readonly radius: number }
  );

export const ring = (points: readonly XY[], paint: Paint): Shape => ({
  is: 'ring',
  points,
  ...paint,
});
export const line = (points: readonly XY[], paint: Paint): Shape => ({
  is: 'line',
  points,
  ...paint,
});
export const disc = (at: XY, radius: number, paint: Paint): Shape => ({
  is: 'disc',
  at,
  radius,
  ...paint,
});
