import type { Given } from '../context';

/** Was anything ordered of a line, or of an engine, from a moment on and within so many seconds? */
export function seenTo(
  orders: readonly Given[],
  line: number,
  from: number,
  within: number,
): boolean {
  return orders.some(
    ({ time, order }) =>
      time >= from &&
      time <= from + within &&
      (order.do === 'engine' || ('line' in order && order.line === line)),
  );
}
