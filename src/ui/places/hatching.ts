/** Strokes across an outline from south-west to north-east, cut to it: pairs of ends, m. */
export function hatching(
  outline: readonly (readonly [number, number])[],
  apart: number,
): [number, number, number, number][] {
  // Along x − y = c every edge is crossed at most once; ends come in pairs along the stroke.
  const cs = outline.map(([x, y]) => x - y);
  const strokes: [number, number, number, number][] = [];
  const step = apart * Math.SQRT2;
  const first = Math.ceil(Math.min(...cs) / step) * step;
  for (let c = first; c < Math.max(...cs); c += step) {
    const cuts = outline
      .flatMap(([ax, ay], i): [number, number][] => {
        const [bx, by] = outline[(i + 1) % outline.length]!;
        const [a, b] = [ax - ay - c, bx - by - c];
        if (a > 0 === b > 0) return [];
        const t = a / (a - b);
        return [[ax + t * (bx - ax), ay + t * (by - ay)]];
      })
      .sort((p, q) => p[0] - q[0]);
    for (let i = 0; i + 1 < cuts.length; i += 2) strokes.push([...cuts[i]!, ...cuts[i + 1]!]);
  }
  return strokes;
}
