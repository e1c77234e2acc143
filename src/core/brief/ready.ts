import type { BoatSpec } from '../boat';
import { nearestLock } from '../locks';
import type { RunInput, Run } from '../plan';
import { WASH_MOVES_MPS, WASH_ROOM_M, TEMPTED_TO_FEND_M } from '../policy';
import { throughLock } from './through-lock';

/** What is made ready before the last line is off, in the order it is done; by what the boat and the manoeuvre are. */
export const READY_ITEMS = [
  'neutral-first',
  'cooling-water',
  'kill-cord',
  'both-gears',
  'lock-to-lock',
  'thrusters',
  'joystick',
  'shore-power',
  'fenders',
  'roving-fender',
  'lines-on',
  'lines-off',
  'boat-hook',
  'lock-line',
  'lock-signs',
  'lock-windlass',
  'lock-cill',
  'lock-gates',
  'lock-sharing',
  'lock-alone',
  'crew',
  'way-out',
  'look-astern',
  'harbour',
] as const;
export type ReadyItem = (typeof READY_ITEMS)[number];

/** What can hurt somebody in this manoeuvre. */
export type Caution =
  | 'between'
  | 'step'
  | 'propeller'
  | 'astern'
  | 'lines'
  | 'wash'
  | 'kill-cord'
  | 'lock-fast'
  | 'lock-paddles';

function goesAstern(input: RunInput): boolean {
  return input.plan.steps.some(({ orders }) =>
    orders.some(
      ({ order }) =>
        (order.do === 'engine' && order.gear < 0) || (order.do === 'joystick' && order.ahead < 0),
    ),
  );
}

/** Which way the boat goes through a lock that is worked; null where there is none. */
function passing({ locks = [], start, boat }: RunInput): 'up' | 'down' | null {
  if (locks.length === 0) return null;
  const sited = locks[nearestLock(locks, start.x, start.y)]!;
  return throughLock(sited, start, boat.hull).going;
}

/** @param outboard whether an engine hangs where its kill cord is worn */
export function readyFor(input: RunInput, outboard: boolean): readonly ReadyItem[] {
  const boat: BoatSpec = input.boat;
  const driven = boat.drives.length > 0;
  const lies = input.goal.is === 'lie';
  const passes = passing(input);
  const crew = input.rigging?.crew.length ?? 0;
  const [alone, ashore] = [crew === 1, crew > 1];
  const items: [ReadyItem, boolean][] = [
    ['neutral-first', driven],
    ['cooling-water', driven],
    ['kill-cord', outboard],
    ['both-gears', driven],
    ['lock-to-lock', true],
    ['thrusters', boat.thrusters.length > 0],
    ['joystick', boat.joystick],
    ['shore-power', !lies && input.berth.size > 0],
    ['fenders', input.obstacles.length > 0],
    ['roving-fender', input.obstacles.length > 0],
    ['lines-on', lies],
    ['lines-off', !lies && input.berth.size > 0],
    ['boat-hook', lies],
    ['lock-line', passes !== null],
    ['lock-signs', passes !== null && ashore],
    ['lock-windlass', passes !== null && ashore],
    ['lock-cill', passes === 'down'],
    ['lock-gates', passes === 'up'],
    ['lock-sharing', passes !== null && (input.others ?? []).length > 0],
    ['lock-alone', passes !== null && alone],
    ['crew', true],
    ['way-out', true],
    ['look-astern', goesAstern(input)],
    ['harbour', true],
  ];
  return items.flatMap(([item, wanted]) => (wanted ? [item] : []));
}

export function cautionsFor(input: RunInput, run: Run, outboard: boolean): readonly Caution[] {
  const { clearance, groundSpeed } = run.trace;
  const near = clearance.some((c) => c < TEMPTED_TO_FEND_M) || input.berth.size > 0;
  const wash = clearance.some((c, i) => c < WASH_ROOM_M && groundSpeed[i]! > WASH_MOVES_MPS);
  const lies = input.goal.is === 'lie';
  const cautions: [Caution, boolean][] = [
    ['between', near],
    ['step', lies],
    ['propeller', input.boat.drives.length > 0],
    ['astern', goesAstern(input)],
    ['lines', lies || input.berth.size > 0],
    ['wash', wash],
    ['kill-cord', outboard],
    ['lock-fast', passing(input) !== null],
    ['lock-paddles', passing(input) !== null],
  ];
  return cautions.flatMap(([caution, holds]) => (holds ? [caution] : []));
}
