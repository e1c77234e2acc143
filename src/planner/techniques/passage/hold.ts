import { gatesOf } from '@/core/locks';
import type { CueDocument, OrderDocument, SimpleCue } from '@/document/plan';
import { engine, near, step } from '../../template';
import { comingIn } from './coming';
import { by, gatesTo } from './lock-crew';
import { CENTRE_LINE, type PassageLie } from './lie';
import { BOTH_ENDS, linesOnOf } from './neighbour';
import type { Passage, PhaseAt } from './phase';

// Held in the chamber by one line round a bollard and back, never fast; the gates shut behind.

/** A line goes ashore before the gates shut; the helm waits so long for a throw to hold, s. */
const LINE_ON_S = 90;
/** Turns it is held by: taken in as the boat rises, let run as it falls. */
export const TURNS = { up: 0.75, down: 0.5 } as const;
/** Both ends shut, and going down the boat's stern forward of the cill: only then is a paddle wound. */
export function heldIn({ sited, forward, to }: PassageLie): CueDocument {
  const closed: SimpleCue = { is: 'lock', lock: sited.name, state: 'shut' };
  return forward === null
    ? closed
    : { is: 'all', of: [closed, near('bow', `${sited.name}, ${to} gates`, forward)] };
}

/** The lines of a boat beside it are kept snug like its own. */
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

/** Out of gear, the line round the bollard and back; whoever comes in beside is let in; the gates shut behind. */
export const holds =
  ({ setting, crew, entry }: Passage, lie: PassageLie): PhaseAt =>
  (after) => {
    const { sited, going, from, neighbour } = lie;
    const kept: OrderDocument = {
      do: 'tend',
      after_s: 0,
      line: CENTRE_LINE,
      how: 'keep',
      turns: TURNS[going],
      winch: false,
      ...by(crew.aboard),
    };
    const on: CueDocument = { is: 'line', line: CENTRE_LINE, state: 'on' };
    // Whoever comes in after the boat finds it held.
    const follows = neighbour?.comes && !neighbour.comes.first ? neighbour : null;
    const leaves = gatesOf(sited.lock, from).kind === 'single' ? 'gate' : 'gates';
    const passes: OrderDocument = {
      do: 'pass',
      after_s: 1,
      line: CENTRE_LINE,
      to: lie.bollard,
      how: crew.how,
      ...by(crew.aboard),
    };
    return {
      steps: [
        step(
          'line',
          'neutral; the line round the bollard and back',
          after,
          [engine('neutral'), passes],
          'short ahead and astern to hold the boat',
        ),
        ...(follows ? comingIn(setting, sited, follows, lie, on, [kept], entry!) : []),
        step(
          'held',
          going === 'up'
            ? `kept snug, never fast; the ${leaves} shut behind`
            : `on a turn, never fast; the ${leaves} shut behind`,
          follows ? linesOnOf(follows) : on,
          [...(follows ? tendsToo(lie) : [kept]), gatesTo(lie, from, 'shut', crew)],
          'line off, back out while the gates are open',
          LINE_ON_S,
        ),
      ],
      then: heldIn(lie),
    };
  };
