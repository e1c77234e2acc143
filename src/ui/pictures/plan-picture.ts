import {
  standingLevel,
  wholeOutline,
  type Boat,
  type LastResult,
  type Manoeuvre,
  type Place,
} from '@/document';
import { cornersOf, gistOf } from '../places/edit';
import { viewOfArea } from '../places/areas';
import { picturedFeatures } from '../places/features';
import type { Shape, XY } from '../plot/shapes';
import { deckAt } from '../water/sweep';
import type { Palette } from '../theme/palette';

/** A picture's size, in the pixels stroke widths are given in. */
const WIDE_PX = 320;
const HIGH_PX = 200;

/** Room round the boat's way, as a share of the boat's length, and the least that is shown, in lengths. */
const ROUND_LENGTHS = 0.8;
const LEAST_LENGTHS = 4;

/** So many hulls between first and last at the most: more lie over one another. */
const HULLS_BETWEEN = 5;

const RADIANS = Math.PI / 180;

type Pose = LastResult['track'][number];

const hullAt = (deck: Float64Array, [x, y, heading]: Pose) => deckAt(deck, x, y, heading * RADIANS);

/** Centre and metres a pixel of a frame that holds these points and is shaped as the picture. */
function frameOf(points: readonly XY[], least: number, round: number) {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, right] = [Math.min(...xs) - round, Math.max(...xs) + round];
  const [bottom, top] = [Math.min(...ys) - round, Math.max(...ys) + round];
  const metres = Math.max((right - left) / WIDE_PX, (top - bottom) / HIGH_PX, least / WIDE_PX);
  return { x: (left + right) / 2, y: (bottom + top) / 2, px: metres };
}

type Frame = ReturnType<typeof frameOf>;

const tenth = (pixels: number) => String(Math.round(10 * pixels) / 10);

/** Shapes in metres as elements of a picture, in pixels. Nothing of what a user wrote is in them. */
function drawn(shapes: readonly Shape[], { x, y, px }: Frame, palette: Palette): string {
  const at = ([east, north]: XY) =>
    `${tenth((east - x) / px + WIDE_PX / 2)},${tenth((y - north) / px + HIGH_PX / 2)}`;
  return shapes
    .map((shape) => {
      const colour = (name: keyof Palette | undefined) => (name ? palette[name] : 'none');
      const paint = [
        `fill="${shape.is === 'line' ? 'none' : colour(shape.fill)}"`,
        `stroke="${colour(shape.stroke)}"`,
        `stroke-width="${shape.width ?? 1}"`,
        ...(shape.dash ? [`stroke-dasharray="${shape.dash.join(' ')}"`] : []),
        ...(shape.opacity === undefined ? [] : [`opacity="${shape.opacity}"`]),
      ].join(' ');
      if (shape.is === 'disc') {
        const [cx, cy] = at(shape.at).split(',');
        return `<circle cx="${cx}" cy="${cy}" r="${tenth(shape.radius / px)}" ${paint}/>`;
      }
      const points = shape.points.map(at).join(' ');
      return `<${shape.is === 'ring' ? 'polygon' : 'polyline'} points="${points}" ${paint}/>`;
    })
    .join('');
}

/** The place, what lies under first. */
function placeShapes(place: Place, px: number): Shape[] {
  const areas = (over: boolean) =>
    place.areas
      .filter(({ kind }) => viewOfArea(kind).over === over)
      .flatMap((area) => viewOfArea(area.kind).draw(area, standingLevel(place, area.outline_m)));
  return [
    ...areas(false),
    ...picturedFeatures(place.features, px).flatMap(({ shapes }) => shapes),
    ...areas(true),
  ];
}

/** The boat's way: the water it passes over, hulls where steps begin, and where it ends. */
function wayShapes(deck: Float64Array, track: readonly Pose[], steps: readonly Pose[]): Shape[] {
  const hull = (pose: Pose) => hullAt(deck, pose);
  const every = Math.ceil(steps.length / HULLS_BETWEEN);
  return [
    ...track.map((pose): Shape => ({ is: 'ring', points: hull(pose), fill: 'sweep' })),
    ...steps
      .filter((_, k) => k % every === 0)
      .map((pose): Shape => ({ is: 'ring', points: hull(pose), stroke: 'plan', width: 1 })),
    {
      is: 'line',
      points: track.map(([x, y]): XY => [x, y]),
      stroke: 'plan',
      width: 1,
      dash: [2, 3],
    },
    { is: 'ring', points: hull(track.at(-1)!), fill: 'plan', stroke: 'plan' },
  ];
}

/**
 * A manoeuvre in small, north up: its place round the boat's way, and the way as it came out last; where nothing is known of
 * that, the boat where it starts. An SVG document.
 */
export function planPicture(
  { manoeuvre, boat, place }: { manoeuvre: Manoeuvre; boat: Boat; place: Place },
  last: Pick<LastResult, 'track' | 'steps'> | null,
  palette: Palette,
): string {
  const { start } = manoeuvre;
  const begins: Pose = [start.x_m, start.y_m, start.heading_deg];
  const track = last?.track ?? [begins];
  const deck = wholeOutline(boat.hull.deck);
  const berth = place.berths
    .filter(({ name }) => manoeuvre.goal.is === 'lie' && name === manoeuvre.goal.mark)
    .flatMap(({ edge_m }) => edge_m);
  const length = boat.hull.length_m;
  const shown = [...track.flatMap((pose) => hullAt(deck, pose)), ...(last ? [] : berth)];
  const frame = frameOf(shown, LEAST_LENGTHS * length, ROUND_LENGTHS * length);
  return pictureOf(
    [...placeShapes(place, frame.px), ...wayShapes(deck, track, last?.steps ?? [])],
    frame,
    palette,
  );
}

/** A place in small, north up: what tells it from others, and all that stands about it. An SVG document. */
export function placePicture(place: Place, palette: Palette): string {
  const gist = gistOf(place);
  const corners = gist.length > 0 ? gist : place.features.flatMap(cornersOf);
  const frame = frameOf(corners.length > 0 ? corners : [[0, 0]], 10, 6);
  return pictureOf(placeShapes(place, frame.px), frame, palette);
}

function pictureOf(shapes: readonly Shape[], frame: Frame, palette: Palette): string {
  const water = `<rect width="${WIDE_PX}" height="${HIGH_PX}" fill="${palette.water}"/>`;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDE_PX} ${HIGH_PX}" stroke-linejoin="round">${water}${drawn(shapes, frame, palette)}</svg>`;
}
