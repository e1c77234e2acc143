import { Fragment } from 'react';
import { Line } from 'react-konva';
import { standingLevel, type Area, type Place } from '@/document';
import type { Palette } from '../theme/palette';

/** Strokes across an outline lie so far apart, m, and run this steep. */
const HATCH_M = 2.2;

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

function strokeOf(area: Area, palette: Palette, dry: boolean) {
  switch (area.kind) {
    case 'depth':
      return { stroke: palette.shore, strokeWidth: 0.8, dash: dry ? [] : [1, 4] };
    case 'bridge':
      return { stroke: palette.ink, strokeWidth: 1.4, dash: [] };
    case 'zone':
      return { stroke: palette.hurt, strokeWidth: 1.2, dash: [9, 4, 2, 4] };
    case 'lock':
      return { stroke: palette.ink, strokeWidth: 0.8, dash: [7, 3] };
    case 'trees':
      return { stroke: palette.shore, strokeWidth: 1, dash: [2, 3] };
  }
}

/** Depths, bridges, water with rules and trees, in metres: what stands on land is drawn over it, see `over`. */
export function AreaLayer({
  place,
  palette,
  over,
}: {
  place: Place;
  palette: Palette;
  /** What stands over her or on the land; otherwise what she floats over. */
  over: boolean;
}) {
  const shown = place.areas.filter(({ kind }) => (kind === 'bridge' || kind === 'trees') === over);
  return (
    <>
      {shown.map((area) => (
        <Fragment key={area.id}>
          <Line
            points={area.outline_m.flat()}
            closed
            strokeScaleEnabled={false}
            lineJoin="round"
            {...(area.kind === 'bridge' ? { fill: palette.float, opacity: 0.75 } : {})}
            {...strokeOf(area, palette, dries(place, area))}
          />
          {dries(place, area) &&
            hatching(area.outline_m, HATCH_M).map((stroke) => (
              <Line
                key={stroke.join()}
                points={stroke}
                stroke={palette.shore}
                strokeWidth={0.6}
                strokeScaleEnabled={false}
                opacity={0.7}
              />
            ))}
        </Fragment>
      ))}
    </>
  );
}

const dries = (place: Place, area: Area) =>
  area.kind === 'depth' && area.depth_m + standingLevel(place, area.outline_m) < 0;
