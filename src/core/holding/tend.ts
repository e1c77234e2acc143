import { anchorHolds, chainLength, chainReach, chainTension, lyingLength } from './chain';
import { GROUND } from './ground';
import {
  easedLength,
  hauledTension,
  hauledTo,
  LINE,
  LINE_COLUMNS,
  MADE,
  spanOf,
  strainUnder,
  type Lines,
} from './line';
import { SPAN } from './span';

/**
 * What becomes of lines over a piece of the step that ends with the boat as `views` say: one over its breaking load
 * parts; one held by less than what stretches it surges until it carries what holds it, and is brought up at its own
 * end; one that is hauled or eased changes its length; one that trails comes home; an anchor drags. Friction and hands
 * only take energy; a haul gives at most its pull.
 *
 * @param rows columns LINE, changed in place
 * @param views columns GROUND: how the boat lies over the place, then as each of the other boats sees it
 * @param tension of each at the end of the piece, N
 * @param dt length of the piece, s
 */
export function tendLines(
  rows: Float64Array,
  lines: Lines,
  tension: Float64Array,
  views: readonly Float64Array[],
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
    const boat = views[rows[at + LINE.ON]!]!;
    if (lines.weight[i]! > 0) {
      spanOf(span, lines, rows, i, boat);
      tendChain(rows, at, lines, i, boat, span, dt);
      continue;
    }
    const surges = tension[i]! >= hold;
    if (!surges && haul === 0) continue;
    spanOf(span, lines, rows, i, boat);
    if (surges) surge(rows, at, lines, i, hold, span);
    if (haul > 0) takeIn(rows, at, lines, i, dt, span);
    else if (haul < 0) rows[at + LINE.LENGTH] = easedLength(lines, rows, i, dt);
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

/** It has come in by what the piece's hauling has it stretched by, and no faster than it is hauled. */
function takeIn(
  rows: Float64Array,
  at: number,
  lines: Lines,
  i: number,
  dt: number,
  span: Float64Array,
): void {
  const length = rows[at + LINE.LENGTH]!;
  span[SPAN.SINCE] = dt;
  const tension = hauledTension(lines, rows, i, span);
  const strain = strainUnder(tension, lines.stiffness[i]!, lines.stiffening[i]!);
  const carrying = span[SPAN.LENGTH]! / (1 + strain);
  const least = Math.max(hauledTo(rows, i), length - rows[at + LINE.HAUL]! * dt);
  rows[at + LINE.LENGTH] = Math.min(length, Math.max(least, carrying));
}

/** An anchor is off the bottom once its chain is no longer than the way down, and this, m. */
const AWEIGH_M = 0.2;

/** A chain runs out to what was asked for, or is hove in; then its anchor drags if it is asked for more than it holds. */
function tendChain(
  rows: Float64Array,
  at: number,
  lines: Lines,
  i: number,
  boat: Float64Array,
  span: Float64Array,
  dt: number,
): void {
  const weight = lines.weight[i]!;
  const stiffness = lines.stiffness[i]!;
  const height = -rows[at + LINE.RISE]!;
  const reach = span[SPAN.LENGTH]!;
  const haul = rows[at + LINE.HAUL]!;
  const hold = rows[at + LINE.HOLD]!;
  let length = rows[at + LINE.LENGTH]!;
  chainTension(span, length, height, weight, stiffness);
  // Held by less than what hangs, it runs before it would lift its anchor.
  const runs = haul === 0 && span[SPAN.LIFT]! > 0 && hold < weight * height;
  if (runs || span[SPAN.LEVEL]! > hold) {
    const until = rows[at + LINE.UNTIL]!;
    const most = until > length ? until : lines.total[i]!;
    length = Math.max(
      length,
      runs ? lyingLength(reach, height) : chainLength(hold / weight, reach, height),
    );
    if (length >= most) {
      length = most;
      rows[at + LINE.HOLD] = Infinity;
      rows[at + LINE.MADE] = MADE.FAST;
    }
  } else if (haul < 0) {
    length = Math.max(length, Math.min(length - haul * dt, rows[at + LINE.UNTIL]!));
  } else if (haul > 0) {
    const windlass = rows[at + LINE.PULL]!;
    const share = Math.max(0, 1 - span[SPAN.LEVEL]! / windlass);
    length = Math.max(rows[at + LINE.UNTIL]!, length - haul * share * dt);
    if (length <= height + AWEIGH_M) {
      rows[at + LINE.LENGTH] = length;
      rows[at + LINE.MADE] = MADE.ABOARD;
      rows[at + LINE.HOLD] = 0;
      rows[at + LINE.HAUL] = 0;
      return;
    }
  }
  rows[at + LINE.LENGTH] = length;
  chainTension(span, length, height, weight, stiffness);
  const dragged = rows[at + LINE.DRAGGED]!;
  const most = anchorHolds(lines.anchor[i]!, dragged, span[SPAN.LEVEL]!, span[SPAN.LIFT]!);
  if (span[SPAN.LEVEL]! <= most) return;
  // It comes along until it is asked for no more than that.
  const along = reach - chainReach(most / weight, length, height, weight, stiffness);
  const ahead = along * span[SPAN.X]!;
  const starboard = along * span[SPAN.Y]!;
  rows[at + LINE.EAST]! -= ahead * boat[GROUND.SIN]! + starboard * boat[GROUND.COS]!;
  rows[at + LINE.NORTH]! -= ahead * boat[GROUND.COS]! - starboard * boat[GROUND.SIN]!;
  rows[at + LINE.DRAGGED] = dragged + along;
}
