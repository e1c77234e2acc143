import type { WrongVariant } from './wrong-variants-list';

const core = (file: string, name: string, find: string, put: string): WrongVariant => ({
  name,
  file: `src/core/${file}`,
  find,
  put,
});

/** Mistakes in tides, the bottom, signs, measured tracks and locks. */
export const WATER_VARIANTS: readonly WrongVariant[] = [
  core('water/tide.ts', 'phase lag runs ahead', 'cos(now.phase - phase)', 'cos(now.phase + phase)'),
  core(
    'water/constituents.ts',
    'solar tide by the moon',
    'S2: { doodson: [2, 0, 0',
    'S2: { doodson: [2, -2, 2',
  ),
  core(
    'water/tide.ts',
    'a tide goes straight from turn to turn',
    '(1 - cos(Math.PI * share))) / 2',
    '2 * share) / 2',
  ),
  core('water/tide.ts', 'current not grown with the range', 'grown * ((1 - share)', '((1 - share)'),
  core('water/bottom.ts', 'the largest area counts', 'size(a) - size(b)', 'size(b) - size(a)'),
  core(
    'simulation/aground.ts',
    'the ground pushes her on',
    'const fx = -slope * along;',
    'const fx = slope * along;',
  ),
  core(
    'simulation/aground.ts',
    'the ground bears more than her weight',
    '(borne > weight ? weight / borne : 1)',
    '1',
  ),
  core(
    'monitors/soundings.ts',
    'room under a bridge grows with the level',
    'bridge.clearance - level -',
    'bridge.clearance + level -',
  ),
  core(
    'signs/pooled.ts',
    'quarrelling signs are as sure',
    'Math.max(1, Math.sqrt(',
    'Math.min(1, Math.sqrt(',
  ),
  core(
    'monitors/measured.ts',
    'aerial on the wrong side',
    'aerial.x * s - aerial.y * c',
    'aerial.x * s + aerial.y * c',
  ),
  core('locks/work.ts', 'the pound is for nothing', 'state.upper -= dt', 'state.upper -= 0 * dt'),
  core('locks/work.ts', 'a chamber empties linearly', 'Math.sqrt(Math.abs(head) + FILM_M)', '1'),
  core(
    'locks/work.ts',
    'gates move against a head',
    'if (Math.abs(head) > MADE_M) return',
    'if (Math.abs(head) > 9) return',
  ),
  core(
    'locks/boat-in-lock.ts',
    'the cill is under the bow',
    'chamber - draught - lock.upperCill',
    'chamber + draught - lock.upperCill',
  ),
  core(
    'locks/sited.ts',
    'left is right',
    'Math.abs(acrossLock(sited, x, y)) > lock.width / 2) return NaN',
    'Math.abs(acrossLock(sited, x, y)) > 99) return NaN',
  ),
  core(
    'locks/sited.ts',
    'what is filled runs up',
    'state.flowIn * (1 - share)',
    'state.flowIn * share',
  ),
  core(
    'locks/sited.ts',
    'a neighbour pushes water on',
    '(-her.along * m) / (1 - m)',
    '(her.along * m) / (1 - m)',
  ),
  core(
    'locks/leaves.ts',
    'leaves swing down-current',
    'const along = [-s, -hand * c]',
    'const along = [s, -hand * c]',
  ),
  core(
    'locks/leaves.ts',
    'the cill is never out',
    "side === 'cill' ? out === 0",
    "side === 'cill' ? out < 9",
  ),
  core(
    'simulation/locks-now.ts',
    'lines do not know the level',
    'lines[at + LINE.RISE]! -= rises',
    'lines[at + LINE.RISE]! -= 0 * rises',
  ),
  core(
    'simulation/locks-now.ts',
    'the push is up-current',
    'push.along * sited.north - push',
    '-push.along * sited.north - push',
  ),
  core('locks/on-foot.ts', 'people walk on water', 'if (!shut(end)) return [];', ''),
  core(
    'plan/on-foot.ts',
    'people step aboard over the water of a lock',
    'between(from, to) : footway(world, state, from, to);',
    'between(from, to) : between(from, to);',
  ),
  core(
    'plan/lock-monitor.ts',
    'a line made fast is safe',
    "this.crew.tellLine(i, 'fast too long');\n        this.crew.inDanger = true;",
    "this.crew.tellLine(i, 'fast too long');",
  ),
  core(
    'plan/lock-monitor.ts',
    'the time left is told once',
    'if (stands && flow < MORE_WATER * told.flow) return;',
    'if (stands) return;',
  ),
  core(
    'plan/lock-monitor.ts',
    'against its face she is over the cill',
    'if (!over || over.water < -ON_CILL_M)',
    'if (!over)',
  ),
  core(
    'policy/locks.ts',
    'tied off briefly is left fast',
    'export const LINE_STEEPER_M = 0.15;',
    'export const LINE_STEEPER_M = 0.005;',
  ),
  core(
    'brief/through-gates.ts',
    'both leaves are one',
    'open.leaves[LEAF[end].right] = open.leavesTo[LEAF[end].right] = 0',
    'open.leaves[LEAF[end].right] = open.leavesTo[LEAF[end].right] = 1',
  ),
  core(
    'debrief/faults/at-locks.ts',
    'one sign for all',
    'Math.max(before, time - SIGN_HOLDS_S)',
    'time - SIGN_HOLDS_S',
  ),
];
