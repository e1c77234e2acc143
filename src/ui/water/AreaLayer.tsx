import { standingLevel, type Place } from '@/document';
import { viewOfArea } from '../places/areas';
import { KonvaShapes } from '../plot/KonvaShapes';
import type { Palette } from '../theme/palette';

/** Depths, bridges, water with rules and trees, in metres: what stands on land is drawn over it, see `over`. */
export function AreaLayer({
  place,
  palette,
  over,
}: {
  place: Place;
  palette: Palette;
  /** What stands over the boat or on the land; otherwise what it floats over. */
  over: boolean;
}) {
  return place.areas
    .filter(({ kind }) => viewOfArea(kind).over === over)
    .map((area) => (
      <KonvaShapes
        key={area.id}
        shapes={viewOfArea(area.kind).draw(area, standingLevel(place, area.outline_m))}
        palette={palette}
      />
    ));
}
