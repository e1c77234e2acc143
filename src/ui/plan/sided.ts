/** An amount to one side as a signed figure. The side has its own field, so the amount has no sign. */
export function sided(amount: number, side: 'port' | 'starboard'): number {
  if (!(amount >= 0)) return NaN;
  return side === 'port' ? -amount : amount;
}
