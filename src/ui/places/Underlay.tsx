'use client';
import { toScreen, type Camera, type View } from '../water/camera';

/** A photograph or a scan under the plan. It stays in this browser. */
export interface Picture {
  readonly address: string;
  readonly width: number;
  readonly height: number;
  /** Place of its middle, m; metres in a pixel of it; and how far it is turned clockwise, degrees. */
  readonly x: number;
  readonly y: number;
  readonly metresPerPixel: number;
  readonly turned_deg: number;
}

export function Underlay({
  picture,
  camera,
  view,
}: {
  picture: Picture;
  camera: Camera;
  view: View;
}) {
  const [px, py] = toScreen(camera, view, picture.x, picture.y);
  const width = picture.width * picture.metresPerPixel * camera.scale;
  return (
    <img
      src={picture.address}
      alt=""
      className="pointer-events-none absolute max-w-none opacity-80"
      style={{
        left: px,
        top: py,
        width,
        transform: `translate(-50%, -50%) rotate(${picture.turned_deg}deg)`,
      }}
    />
  );
}

/** Corners of the picture as it lies, m. */
export function cornersOfPicture(picture: Picture): [number, number][] {
  const turn = (picture.turned_deg * Math.PI) / 180;
  const [s, c] = [Math.sin(turn), Math.cos(turn)];
  const across = (picture.width * picture.metresPerPixel) / 2;
  const up = (picture.height * picture.metresPerPixel) / 2;
  return [
    [-across, -up],
    [across, -up],
    [across, up],
    [-across, up],
  ].map(([x, y]) => [picture.x + x! * c + y! * s, picture.y - x! * s + y! * c]);
}

/**
 * The picture moved, turned and scaled so that two of its points come to lie on two places. Null where both are one.
 *
 * @param from the two points as it lies now, m
 * @param to where they belong, m
 */
export function fitted(
  picture: Picture,
  from: readonly [readonly [number, number], readonly [number, number]],
  to: readonly [readonly [number, number], readonly [number, number]],
): Picture | null {
  const [[ax, ay], [bx, by]] = from;
  const [[cx, cy], [dx, dy]] = to;
  const [was, is] = [Math.hypot(bx - ax, by - ay), Math.hypot(dx - cx, dy - cy)];
  if (was < 1e-6 || is < 1e-6) return null;
  const times = is / was;
  const turn = Math.atan2(dx - cx, dy - cy) - Math.atan2(bx - ax, by - ay);
  const [s, c] = [Math.sin(turn), Math.cos(turn)];
  const [rx, ry] = [(picture.x - ax) * times, (picture.y - ay) * times];
  return {
    ...picture,
    x: cx + rx * c + ry * s,
    y: cy - rx * s + ry * c,
    metresPerPixel: picture.metresPerPixel * times,
    turned_deg: picture.turned_deg + (turn * 180) / Math.PI,
  };
}
