/** Something that changes with time by straight lines between moments; held before the first and after the last. */
export interface Series {
  /** Rising, s. */
  readonly times: Float64Array;
  readonly values: Float64Array;
}

export function seriesAt({ times, values }: Series, time: number): number {
  const last = times.length - 1;
  if (!(time > times[0]!)) return values[0]!;
  if (time >= times[last]!) return values[last]!;
  let low = 0;
  let high = last;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (times[middle]! <= time) low = middle;
    else high = middle;
  }
  const share = (time - times[low]!) / (times[high]! - times[low]!);
  return values[low]! + share * (values[high]! - values[low]!);
}
