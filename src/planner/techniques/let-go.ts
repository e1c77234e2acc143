import { holdingOf, IN_NEUTRAL } from '@/core/brief';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { MOST_LINE_M, type LineDocument } from '@/document/rigging';
import type { PlanDocument } from '@/document/plan';
import { atFirst, step, call, engine, wheel, type PlanTemplate } from '../template';
import { handAt, letGo, offOf } from './line-leads';
import type { Setting } from '../setting';

// Lines somebody has rigged for a boat that leaves: they go in their order, and what a technique writes comes after them.

const BACK = 'make it fast again';
/** Between two lines let go, s. */
const APART_S = 1;

/** The boat's own lines that are on as the manoeuvre begins, and do not come up by an anchor. */
const onAtStart = ({ plan }: ManoeuvreFile): readonly LineDocument[] =>
  plan.lines.filter(({ of, anchor, fast }) => of === undefined && !anchor && fast !== undefined);

/** Led round what it is on and back, twice as long: a loaded line comes off no other way with nobody ashore. */
const asSlip = (line: LineDocument): LineDocument =>
  line.doubled
    ? line
    : { ...line, doubled: true, length_m: Math.min(MOST_LINE_M, 2 * line.length_m) };

/** Names in the order in which they may go: each time the one the boat is held best without. */
function orderOf(setting: Setting): readonly string[] {
  let order: readonly string[] = [];
  for (const held of holdingOf(setting.input, IN_NEUTRAL)) if (held.done) order = held.order;
  return order;
}

function gone(
  { steps, ...rest }: PlanDocument,
  lines: readonly LineDocument[],
  setting: Setting,
): PlanDocument {
  const by = ({ from }: LineDocument) => handAt(setting, from);
  const last = lines.at(-1)!;
  const before = lines.slice(0, -1);
  const [first, ...others] = steps;
  const slip = letGo(last.name, 0, by(last));
  const still = [wheel(0), engine('neutral')];
  return {
    ...rest,
    lines: [...rest.lines, ...lines],
    steps: [
      ...(before.length === 0
        ? []
        : [
            step(
              'single-up',
              `single up to the ${last.name}`,
              { is: 'start' },
              [
                call(`all on slips; the ${last.name} stays to the last, as it holds the boat best`),
                ...still,
                ...before.map((line, i) => letGo(line.name, APART_S * i, by(line))),
              ],
              BACK,
              5,
            ),
          ]),
      step(
        'last-line',
        `the ${last.name} slipped`,
        before.length === 0 ? { is: 'start' } : offOf(before),
        before.length === 0 ? [...still, slip] : [slip],
        BACK,
        90,
      ),
      { ...first!, cue: { is: 'line', line: last.name, state: 'off' }, within_s: 90 },
      ...others,
    ],
  };
}

/** The boat's own lines that are on and have to go before it leaves, on slips, in the order they may go. */
function toLetGo(setting: Setting, file: ManoeuvreFile): readonly LineDocument[] {
  const on = onAtStart(file);
  if (file.goal.is !== 'clear' || on.length === 0) return [];
  const rank = orderOf(setting);
  return [...on]
    .sort((a, b) => rank.indexOf(a.name) - rank.indexOf(b.name))
    .map((line) => asSlip(line));
}

/** A plan for leaving with the lines that are on let go before it begins; as it is where there are none. */
export function onceLinesAreOff(
  plan: PlanDocument,
  setting: Setting,
  file: ManoeuvreFile,
): PlanDocument {
  const lines = toLetGo(setting, file);
  return lines.length === 0 ? plan : gone(plan, lines, setting);
}

/**
 * A template for leaving that rigs nothing itself, with the lines there are let go before it begins. One that has lines of its own
 * sees to what holds the boat.
 */
export function afterHerLines(
  template: PlanTemplate,
  setting: Setting,
  file: ManoeuvreFile,
): PlanTemplate {
  const lines = toLetGo(setting, file);
  if (lines.length === 0) return template;
  const rigs = atFirst(template).lines;
  if (rigs.some(({ of }) => of === undefined)) return template;
  return {
    ...template,
    // What is tried first is how the boat goes, not how long the lines take to come home.
    rough: (numbers) => template.write(numbers),
    write: (numbers) => gone(template.write(numbers), lines, setting),
  };
}
