import { degrees } from '@/document/fields';
import type { StepDocument, CueDocument, OrderDocument } from '@/document/plan';
import { step, compassOf } from '../../template';
import { nameAboard } from '@/document/others';
import { letGo } from '../line-leads';
import type { PassageLie } from './lie';
import { leavesFirst } from './neighbour';

// What is done for a boat that shares the chamber: her lines kept like one's own, and who goes out first.

/** Turns it is held by: taken in as she rises, let run as she falls. */
export const TURNS = { up: 0.75, down: 0.5 } as const;
const BOTH_ENDS = ['bow', 'stern'] as const;

/** The gates ahead stand wide open. */
export const wide = ({ sited, going }: PassageLie): CueDocument => ({
  is: 'lock',
  lock: sited.name,
  state: going === 'up' ? 'wide above' : 'wide below',
});

/** A boat beside her that lies nearer to the gates ahead, or was in first, goes out before her; her water draws, so the line stays on. */
export function before(
  lie: PassageLie,
): { readonly steps: StepDocument[]; readonly clear: CueDocument } | null {
  const { neighbour, along, sited, to } = lie;
  if (!neighbour?.outFirst) return null;
  const leaves = leavesFirst(neighbour);
  if (!leaves) return null;
  const { name } = neighbour.other;
  const lines = BOTH_ENDS.map((end) => letGo(`${name}'s ${end} line`, 0, undefined));
  return {
    clear: {
      is: 'any',
      of: [
        {
          is: 'abeam',
          point: nameAboard(neighbour.other, 'stern'),
          mark: `${sited.name}, ${to} gates`,
        },
        // Held up on her way she is not waited for without end.
        { is: 'after', time_s: Math.min(600, 2 * leaves.seconds) },
      ],
    },
    steps: [
      step(
        'her-lines',
        `wide open: ${name} first, her lines off`,
        wide(lie),
        lines,
        'hold on; tell her to wait',
        300,
      ),
      step(
        'before',
        `${name} goes; she draws, so the line stays`,
        {
          is: 'all',
          of: BOTH_ENDS.map((end) => ({ is: 'line', line: `${name}'s ${end} line`, state: 'off' })),
        },
        [
          {
            do: 'other',
            after_s: 0,
            boat: name,
            gear: 'ahead',
            throttle: leaves.throttle,
            heading_deg: compassOf(degrees(along)),
          },
        ],
        'hold on; tell her to wait',
        60,
      ),
    ],
  };
}

/** The lines of a boat beside her are kept snug like her own. */
export function tendsToo(lie: PassageLie): OrderDocument[] {
  if (!lie.neighbour) return [];
  return BOTH_ENDS.map((end) => ({
    do: 'tend',
    after_s: 0,
    line: `${lie.neighbour!.other.name}'s ${end} line`,
    how: 'keep',
    turns: TURNS[lie.going],
    winch: false,
  }));
}
