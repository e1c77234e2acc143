import type { WrongVariant } from './wrong-variants-list';

/** Mistakes in what holds boats to one another and to the bottom. */
export const COMPANY_VARIANTS: readonly WrongVariant[] = [
  {
    name: 'a chain that lies on the bottom however hard it is pulled',
    file: 'src/core/holding/chain.ts',
    find: 'if (lifted2 < stretched * stretched) return',
    put: 'if (lifted2 < Infinity) return',
  },
  {
    name: 'an anchor that holds as well when it is lifted',
    file: 'src/core/holding/chain.ts',
    find: 'return (best * set) / (1 + angle / HALVED_BY_RAD);',
    put: 'return (best * set) / (1 + 0 * angle * HALVED_BY_RAD);',
  },
  {
    name: 'hands that pull a boat that comes faster than they take in',
    file: 'src/core/holding/line.ts',
    find: 'const towards = (pull * coming) / haul;',
    put: 'const towards = pull;',
  },
  {
    name: 'friction that holds a boat against more than it can',
    file: 'src/core/holding/touch-stick.ts',
    find: 'if (share <= most) continue;',
    put: 'if (share <= 1e9 * most) continue;',
  },
  {
    name: 'chain that lifts its anchor while it is free to run',
    file: 'src/core/holding/tend.ts',
    find: 'const runs = haul === 0 &&',
    put: 'const runs = haul === 1e9 &&',
  },
  {
    name: 'an anchor that never comes home',
    file: 'src/core/holding/tend.ts',
    find: 'rows[at + LINE.DRAGGED] = dragged + along;',
    put: 'rows[at + LINE.DRAGGED] = dragged;',
  },
  {
    name: 'a line on another boat that stays where she was',
    file: 'src/core/score/marks.ts',
    find: 'if (!mark.boat) return mark;',
    put: 'if (!mark.boat || mark.boat > 0) return mark;',
  },
  {
    name: 'boats that pass through one another',
    file: 'src/core/sim/together.ts',
    find: 'if (pairs[p]!.acts.touch.active > 0) return false;',
    put: 'if (pairs[p]!.acts.touch.active > 1e9) return false;',
  },
  {
    name: 'a touch of two boats as if the other were a quay',
    file: 'src/core/debrief/touches.ts',
    find: 'lightnessOf(place.mass, ahead, starboard,',
    put: '0 * lightnessOf(place.mass, ahead, starboard,',
  },
  {
    name: 'lines of another boat found among hers',
    file: 'src/core/sim/lines-now.ts',
    find: 'return world.where?.[line] ?? { boat: 0, row: line };',
    put: 'return { boat: 0, row: world.where?.[line]?.row ?? line };',
  },
  {
    name: 'a low pontoon met by the deck',
    file: 'src/core/craft/hull-shape.ts',
    find: 'if (!(share < 1)) return deck;',
    put: 'if (share > -1) return deck;',
  },
  {
    name: 'fenders left hanging in the air beside a low pontoon',
    file: 'src/core/craft/hull-shape.ts',
    find: 'y[i]! -= side * inward;',
    put: 'y[i]! -= 0 * side * inward;',
  },
  {
    name: 'a cue that looks at one’s own boat where another is named',
    file: 'src/core/score/gates.ts',
    find: 'boat ? s.others[boat - 1]! : s;',
    put: 's;',
  },
  {
    name: 'off though a line holds her',
    file: 'src/core/score/goal.ts',
    find: 'met: found === 0 }];',
    put: 'met: true }];',
  },
  {
    name: 'of two before a lock the one further off goes first',
    file: 'src/core/locks/sharing.ts',
    find: "first: hers < others ? 'she' : 'other', because: 'nearer'",
    put: "first: hers > others ? 'she' : 'other', because: 'nearer'",
  },
  {
    name: 'the lighter of two as near goes first',
    file: 'src/core/locks/sharing.ts',
    find: "const first = she.hull.mass >= other.hull.mass ? 'she' : 'other';",
    put: "const first = she.hull.mass < other.hull.mass ? 'she' : 'other';",
  },
  {
    name: 'a fender on the wall counts as her rail under a coping',
    file: 'src/core/score/lock-grip.ts',
    find: 'if (!hung) rail = true;',
    put: 'rail = true;',
  },
  {
    name: 'stones over her rail from the start catch her too',
    file: 'src/core/score/lock-grip.ts',
    find: 'if (rail && (over <= 0 || this.time - this.below <= FREE_S)) this.below = this.time;',
    put: 'if (rail) this.below = this.time;',
  },
  {
    name: 'who steps stands amidships',
    file: 'src/core/score/crew.ts',
    find: 'return [point, { ...point, y: -half }, { ...point, y: half }];',
    put: 'return [point];',
  },
];
