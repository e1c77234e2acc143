import type { LockAhead, LockWater, Through } from '@/core/brief';
import type { Meeting, Sharing, StairOrder } from '@/core/locks';
import { outcomeWord } from './outcome-heads';
import { boatSpeed, clock, distance, force, touchSpeed, type Units } from './units';

const GATES: Readonly<Record<Through['gates'], string>> = {
  'one leaf': 'by one leaf',
  'both leaves': 'by both leaves',
  'the gate': 'by the gate',
};

/** "by one leaf (4.1 m): 2 of 16 tries touch firmly, best at 1.0 kn" */
export function throughText(through: Through, units: Units): string {
  const { gates, tries, touched, missed, gap, speed, upwind } = through;
  const best = `best at ${boatSpeed(speed, units)}${upwind > 0 ? `, ${distance(upwind, units)} up-wind of the line` : ''}`;
  const end =
    missed === tries
      ? 'the boat does not get in at all: look at depth, height and breadth'
      : `${touched} of ${tries} tries touch firmly or hard${missed > 0 ? `, ${missed} do not get in` : ''}, ${best}`;
  return `${GATES[gates]} (${distance(gap, units)}): ${end}`;
}

/** Which of one leaf or both today's wind asks for, and why; null where there is nothing to choose. */
export function gatesAdvice(through: readonly Through[]): string | null {
  const one = through.find(({ gates }) => gates === 'one leaf');
  const both = through.find(({ gates }) => gates === 'both leaves');
  if (!one || !both) return null;
  const fails = (t: Through) => t.touched + t.missed;
  if (fails(one) === 0) return 'One leaf is enough in this wind: one gate less to walk round for.';
  if (fails(both) < fails(one)) return 'Open both leaves: in this wind one is not enough room.';
  if (fails(both) === both.tries)
    return 'Neither will do without a touch in this wind: lie on the landing, bow-haul the boat in, or wait.';
  return 'Both leaves are no better here than one.';
}

/** Is it set for the boat, and when it leaves where it lies. */
export function setText(ahead: LockAhead, names: readonly string[], units: Units): string {
  const { setForHer, readyIn, readyBy, inside, way, runs, leaveAt, end, from } = ahead;
  const by = readyBy === null ? '' : `, ${readyBy} ashore`;
  if (from !== null)
    return `Entered out of ${names[from] ?? 'the chamber beside it'}, by the gates between them, once both stand at one level.`;
  if (inside) return `The boat lies in it, to leave by the ${end} gates.`;
  if (readyIn === null)
    return `Set ${setForHer ? 'for' : 'against'} the boat, and the gates are never opened to it: its level is not made with these paddles, or nobody gets to its far side on foot.`;
  if (setForHer)
    return readyIn === 0
      ? `Set for the boat, the ${end} gates open: ${distance(way, units)} to go, about ${clock(runs)}.`
      : `Set for the boat, the ${end} gates shut: ${clock(readyIn)} to open them${by}.`;
  return `Set against the boat: somebody at the other end comes first. Turned round for it in ${clock(readyIn)} at least${by}; leave after ${clock(leaveAt ?? 0)} to meet the gates open.`;
}

const OTHER = { left: 'right', right: 'left' } as const;

/** Which side to lie, and why. */
export function sideText({ side, shares }: LockAhead): string {
  const there = shares.find(({ how }) => how.wall !== null);
  if (there)
    return `Lie to the ${OTHER[there.how.wall!]} looking up-stream: ${there.name} lies to the other wall.`;
  if (side === null)
    return 'Wind across is too light to choose a side by: lie where the bollards and the first paddle are.';
  return `Lie to the ${side} looking up-stream: the wind lays the boat to that wall.`;
}

const FIRST: Readonly<Record<Sharing['because'], string>> = {
  'lies there': 'lies in it already',
  nearer: 'is nearer to the gates, and nobody passes in the narrows',
  heavier: 'is the heavier, and the water of the second sets the first about on its lines',
};

/** Whether another boat fits in with it, who goes first and why, and who waits for what. */
export function sharesText({ name, how }: LockAhead['shares'][number], units: Units): string[] {
  const { beside, lengthways, first, because } = how;
  if (beside < 0 && lengthways < 0)
    return [
      `${name} does not fit in with the boat: ${distance(-beside, units)} too broad side by side, ${distance(-lengthways, units)} too long in line. One of them waits for the next time.`,
    ];
  const fit =
    beside >= 0
      ? `${name} fits in beside the boat with ${distance(beside, units)} over, fenders at the walls and between.`
      : `${name} does not fit in beside the boat, but ahead or astern of it with ${distance(lengthways, units)} over in length.`;
  if (because === 'lies there')
    return [
      fit,
      `${name} ${FIRST[because]}: the boat comes in after that, and out after whoever lies nearer to the gates.`,
    ];
  const itself = first === 'she';
  const [one, two] = itself ? ['The boat', name] : [name, 'The boat'];
  return [
    fit,
    `${one} goes in first: it ${FIRST[because]}. ${two} waits outside until ${itself ? 'its' : `${name}’s`} lines are on, then comes in to the other wall.`,
  ];
}

const meets = ({ overCill, overCoping }: Meeting, units: Units) =>
  overCoping > 0
    ? `${distance(overCoping, units)} over the lower one’s coping`
    : overCill < 0
      ? `${distance(-overCill, units)} short of the cill between them`
      : `${distance(overCill, units)} over the cill between them`;

/** What has to be seen to in a staircase before the boat is locked on, and in what order it is worked. */
export function stairText(stair: StairOrder, names: readonly string[], units: Units): string[] {
  const { going, first, now, ready } = stair;
  const upper = names[stair.upper] ?? 'the upper lock';
  const lower = names[stair.lower] ?? 'the lower lock';
  const [other, there] = going === 'up' ? [upper, 'full'] : [lower, 'empty'];
  const source =
    going === 'up'
      ? `A staircase: ${lower} is filled with the water of ${upper}.`
      : `A staircase: ${upper} empties into ${lower}.`;
  const so = {
    fill: `As they are they would meet ${meets(now, units)}: fill ${upper} first, then they meet ${meets(ready, units)}.`,
    empty: `As they are they would meet ${meets(now, units)}: empty ${lower} first, then they meet ${meets(ready, units)}.`,
    never: `Even with ${other} ${there} they meet ${meets(ready, units)}: not enough for the boat.`,
    none: `${other} may stay as it is: they meet ${meets(now, units)}.`,
  }[first ?? 'none'];
  const order =
    going === 'up'
      ? `In order: into ${lower}, its lower gates and paddles shut behind the boat; the paddles between; the gates between at one level; on into ${upper}, gates and paddles between shut; then its upper ones.`
      : `In order: into ${upper}, its upper gates and paddles shut behind the boat; the paddles between; the gates between at one level; on into ${lower}, gates and paddles between shut; then its lower ones.`;
  return first === 'never' ? [source, so] : [source, so, order];
}

/** "half of what is computed: Done, 0.4 m clear, hardest touch 0.05 m/s, most in a line 310 N" */
export function waterText({ times, outcome, margins }: LockWater, units: Units): string {
  const { clearance, touch, line } = margins;
  const parts = [
    outcomeWord(outcome),
    ...(clearance ? [`${distance(Math.max(0, clearance.distance), units)} clear`] : []),
    touch ? `hardest touch ${touchSpeed(touch.speed)}` : 'no touch',
    ...(line ? [`most in a line ${force(line.tension, units)}`] : []),
  ];
  return `${times < 1 ? 'half of what is computed' : 'half as much again'}: ${parts.join(', ')}`;
}
