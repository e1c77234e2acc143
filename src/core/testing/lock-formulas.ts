import { GRAVITY_MPS2 } from '../units';

/** Paddles between two waters. Areas of water in m²; Infinity for a pound that does not change. */
export interface Paddles {
  /** Discharge coefficient and area when fully open, m². */
  readonly discharge: number;
  readonly area: number;
  /** Seconds to wind them fully open. */
  readonly opening: number;
}

/** Flow through paddles open to a share, m³/s: Q = C_d a √(2gΔh), with the sign of the head. */
export function paddleFlow(paddles: Paddles, open: number, head: number): number {
  const size = Math.sqrt(2 * GRAVITY_MPS2 * Math.abs(head));
  return (head >= 0 ? 1 : -1) * paddles.discharge * paddles.area * open * size;
}

/** Two waters that share a head: the one area that would level as fast, A1 A2/(A1 + A2). */
export function jointArea(first: number, second: number): number {
  if (first === Infinity) return second;
  if (second === Infinity) return first;
  return (first * second) / (first + second);
}

/** Seconds to make a level: 2 A √H/(C_d a √2g), plus half the opening time of the paddles. */
export function timeToLevel(paddles: Paddles, area: number, head: number): number {
  const { discharge, area: a, opening } = paddles;
  return (2 * area * Math.sqrt(head)) / (discharge * a * Math.sqrt(2 * GRAVITY_MPS2)) + opening / 2;
}

/**
 * Head left after `time` seconds, m: √H falls in proportion to the paddle area there has been,
 * so the head falls along a parabola and is level for good at the end.
 */
export function headAfter(paddles: Paddles, area: number, head: number, time: number): number {
  const { discharge, area: a, opening } = paddles;
  const open = time < opening ? (time * time) / (2 * opening) : time - opening / 2;
  const rate = (discharge * a * Math.sqrt(2 * GRAVITY_MPS2)) / (2 * area);
  const root = Math.sqrt(head) - rate * open;
  return root > 0 ? root * root : 0;
}
