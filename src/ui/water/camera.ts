/** A view of the place: world metres to screen pixels. */
export interface Camera {
  /** World point at the middle of the view, m. */
  readonly x: number;
  readonly y: number;
  /** Pixels in a metre. */
  readonly scale: number;
  /** Bearing that points up the screen, radians: nought is north up. */
  readonly up: number;
}

export interface View {
  readonly width: number;
  readonly height: number;
}

export interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

const LEAST_SCALE = 0.5;
const MOST_SCALE = 80;

/** Metres east and north as pixels to the right and down. */
export function toPixels({ scale, up }: Camera, east: number, north: number): [number, number] {
  const [s, c] = [Math.sin(up), Math.cos(up)];
  return [(east * c - north * s) * scale, -(east * s + north * c) * scale];
}

/** Pixels to the right and down as metres east and north. */
export function toGround({ scale, up }: Camera, right: number, down: number): [number, number] {
  const [s, c] = [Math.sin(up), Math.cos(up)];
  return [(right * c - down * s) / scale, (-right * s - down * c) / scale];
}

export function toScreen(camera: Camera, view: View, x: number, y: number): [number, number] {
  const [right, down] = toPixels(camera, x - camera.x, y - camera.y);
  return [view.width / 2 + right, view.height / 2 + down];
}

/** World point under a pixel of the view, m. */
export function fromScreen(camera: Camera, view: View, px: number, py: number): [number, number] {
  const [east, north] = toGround(camera, px - view.width / 2, py - view.height / 2);
  return [camera.x + east, camera.y + north];
}

/** The camera that shows a box with a margin in pixels round it. */
export function fit(box: Box, view: View, margin: number, up = 0): Camera {
  const [s, c] = [Math.abs(Math.sin(up)), Math.abs(Math.cos(up))];
  const wide = Math.max(1, box.maxX - box.minX);
  const high = Math.max(1, box.maxY - box.minY);
  const scale = Math.min(
    (view.width - 2 * margin) / (wide * c + high * s),
    (view.height - 2 * margin) / (wide * s + high * c),
  );
  return {
    x: (box.minX + box.maxX) / 2,
    y: (box.minY + box.maxY) / 2,
    scale: Math.max(LEAST_SCALE, Math.min(MOST_SCALE, scale)),
    up,
  };
}

export function pan(camera: Camera, dx: number, dy: number): Camera {
  const [east, north] = toGround(camera, dx, dy);
  return { ...camera, x: camera.x - east, y: camera.y - north };
}

/** Zooms by a factor, keeping the world point under the given pixel where it is. */
export function zoom(camera: Camera, view: View, factor: number, px: number, py: number): Camera {
  const scale = Math.max(LEAST_SCALE, Math.min(MOST_SCALE, camera.scale * factor));
  const [x, y] = fromScreen(camera, view, px, py);
  const [east, north] = toGround({ ...camera, scale }, px - view.width / 2, py - view.height / 2);
  return { ...camera, x: x - east, y: y - north, scale };
}

/** Share of the view's height the boat stands below its middle: there is more to be seen ahead. */
const BELOW = 0.12;

/** The camera that keeps the boat where it is on the screen, the way up as it is. */
export function withHer(
  camera: Camera,
  view: View,
  her: { readonly x: number; readonly y: number },
): Camera {
  const [east, north] = toGround(camera, 0, -BELOW * view.height);
  return { ...camera, x: her.x + east, y: her.y + north };
}

const ROUND = [1, 2, 5];

/** A round length whose bar is at most `most` pixels long, in units of `unitM` metres. */
export function scaleBar(
  scale: number,
  most: number,
  unitM: number,
): { length: number; px: number } {
  let best = 1;
  for (let decade = 1; decade <= 1000; decade *= 10) {
    for (const step of ROUND) if (step * decade * unitM * scale <= most) best = step * decade;
  }
  return { length: best, px: best * unitM * scale };
}
