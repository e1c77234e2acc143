import {
  LINE,
  LINE_COLUMNS,
  lineTension,
  MADE,
  SPAN,
  spanOf,
  strainUnder,
  type Lines,
} from './line';

/** No line is hauled shorter than this between its ends, m. */
const SHORTEST_M = 0.3;

/**
 * What becomes of lines over a piece of the step that ends with the boat at `boat` (columns GROUND): one over its
 * breaking load parts; one held by less than what stretches it surges until it carries what holds it, and is brought
 * up at its own end; one that is hauled or eased changes its length; one that trails comes home. Friction and hands
 * only take energy; a haul gives at most its pull.
 *
 * @param rows columns LINE, changed in place
 * @param tension of each at the end of the piece, N
 * @param dt length of the piece, s
 */
export function tendLines(
  rows: Float64Array,
  lines: Lines,
  tension: Float64Array,
  boat: Float64Array,
  span: Float64Array,
  dt: number,
): void {
  for (let i = 0; i < lines.count; i++) {
    const at = i * LINE_COLUMNS;
    const hold = rows[at + LINE.HOLD]!;
    const haul = rows[at + LINE.HAUL]!;
    if (hold === 0) {
      if (rows[at + LINE.MADE] === MADE.TRAILING)
        rows[at + LINE.LENGTH] = Math.max(0, rows[at + LINE.LENGTH]! - haul * dt);
      continue;
    }
    if (tension[i]! > lines.breaks[i]!) {
      rows[at + LINE.HOLD] = 0;
      rows[at + LINE.MADE] = MADE.PARTED;
      continue;
    }
    const surges = tension[i]! >= hold;
    if (!surges && haul === 0) continue;
    spanOf(span, lines, rows, i, boat);
    if (surges) surge(rows, at, lines, i, hold, span);
    if (haul > 0) takeIn(rows, at, lines, i, haul * dt, span);
    else if (haul < 0) {
      const length = rows[at + LINE.LENGTH]!;
      const most = Math.min(rows[at + LINE.UNTIL]!, lines.total[i]!);
      rows[at + LINE.LENGTH] = Math.max(length, Math.min(length - haul * dt, most));
    }
  }
}

function surge(
  rows: Float64Array,
  at: number,
  lines: Lines,
  i: number,
  hold: number,
  span: Float64Array,
): void {
  const stretched = span[SPAN.LENGTH]!;
  const length = rows[at + LINE.LENGTH]!;
  const carried = stretched / (1 + strainUnder(hold, lines.stiffness[i]!, lines.stiffening[i]!));
  if (carried <= length) return;
  const total = lines.total[i]!;
  if (carried < total) {
    rows[at + LINE.LENGTH] = carried;
    return;
  }
  rows[at + LINE.LENGTH] = total;
  rows[at + LINE.HOLD] = Infinity;
  rows[at + LINE.MADE] = MADE.FAST;
}

/** Slack comes in at the full speed, less and less of it as the line comes to pull as hard as the hands. */
function takeIn(
  rows: Float64Array,
  at: number,
  lines: Lines,
  i: number,
  most: number,
  span: Float64Array,
): void {
  const length = rows[at + LINE.LENGTH]!;
  const pull = rows[at + LINE.PULL]!;
  const stiffness = lines.stiffness[i]!;
  const stiffening = lines.stiffening[i]!;
  const stretched = span[SPAN.LENGTH]!;
  const tension = lineTension(stiffness, length, 0, stretched, 0, stiffening);
  const floor = Math.max(
    SHORTEST_M,
    rows[at + LINE.UNTIL]!,
    stretched / (1 + strainUnder(pull, stiffness, stiffening)),
  );
  const wanted = length - most * (1 - tension / pull);
  rows[at + LINE.LENGTH] = Math.min(length, Math.max(floor, wanted));
}
