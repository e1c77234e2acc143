import type { View } from './camera';

/** A box on the screen, px. */
export interface ScreenBox {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

export interface Label {
  readonly id: string;
  readonly name: string;
  /** Middle of the text, px. */
  readonly x: number;
  readonly y: number;
  /** Shown whatever it covers. */
  readonly needed: boolean;
}

const PX_PER_LETTER = 5.9;
const HALF_HEIGHT_PX = 7;
/** Where a name goes when its own place is taken: just under it, just over it, a line further. */
const ASIDE_PX = [0, 14, -14, 26, -26];

export function boxAround(x: number, y: number, width: number, height: number): ScreenBox {
  return { left: x - width / 2, top: y - height / 2, right: x + width / 2, bottom: y + height / 2 };
}

function meet(a: ScreenBox, b: ScreenBox): boolean {
  return a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;
}

/** What always stands on the water: wind and current with their words, the zoom keys, the scale. */
export function fixtures({ width, height }: View): ScreenBox[] {
  return [
    { left: 56, top: 84, right: 178, bottom: 226 },
    { left: width - 162, top: height - 138, right: width - 12, bottom: height - 22 },
    { left: width - 50, top: 6, right: width, bottom: 112 },
    { left: 12, top: height - 36, right: 270, bottom: height },
  ];
}

/** Names where they cover neither one another nor what is taken, the first ones first; what finds no place is left out. */
export function namesThatFit(labels: readonly Label[], taken: readonly ScreenBox[]): Label[] {
  const boxes = [...taken];
  const order = [...labels].sort((a, b) => Number(b.needed) - Number(a.needed));
  return order.flatMap((label) => {
    const width = label.name.length * PX_PER_LETTER;
    const at = (aside: number) => boxAround(label.x, label.y + aside, width, 2 * HALF_HEIGHT_PX);
    const free = ASIDE_PX.find((aside) => !boxes.some((box) => meet(box, at(aside))));
    if (free === undefined && !label.needed) return [];
    const aside = free ?? 0;
    boxes.push(at(aside));
    return [{ ...label, y: label.y + aside }];
  });
}
