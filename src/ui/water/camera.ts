/** A north-up view of the place: world metres to screen pixels. */
export interface Camera {
  /** World point at the middle of the view, m. */
  readonly x: number;
  readonly y: number;
  /** Pixels in a metre. */
  readonly scale: number;
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

export function toScreen(camera: Camera, view: View, x: number, y: number): [number, number] {
  return [
    view.width / 2 + (x - camera.x) * camera.scale,
    view.height / 2 - (y - camera.y) * camera.scale,
  ];
}

/** The camera that shows a box with a margin in pixels round it. */
export function fit(box: Box, view: View, margin: number): Camera {
  const scale = Math.min(
    (view.width - 2 * margin) / Math.max(1, box.maxX - box.minX),
    (view.height - 2 * margin) / Math.max(1, box.maxY - box.minY),
  );
  return {
    x: (box.minX + box.maxX) / 2,
    y: (box.minY + box.maxY) / 2,
    scale: Math.max(LEAST_SCALE, Math.min(MOST_SCALE, scale)),
  };
}

export function pan(camera: Camera, dx: number, dy: number): Camera {
  return { ...camera, x: camera.x - dx / camera.scale, y: camera.y + dy / camera.scale };
}

/** Zooms by a factor, keeping the world point under the given pixel where it is. */
export function zoom(camera: Camera, view: View, factor: number, px: number, py: number): Camera {
  const scale = Math.max(LEAST_SCALE, Math.min(MOST_SCALE, camera.scale * factor));
  const dx = px - view.width / 2;
  const dy = py - view.height / 2;
  return {
    x: camera.x + dx / camera.scale - dx / scale,
    y: camera.y - dy / camera.scale + dy / scale,
    scale,
  };
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
