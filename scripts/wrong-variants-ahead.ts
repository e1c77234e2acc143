import { core, type WrongVariant } from './wrong-variant';

/** Deliberate mistakes in how somebody who works a boat looks ahead. */
export const AHEAD_VARIANTS: readonly WrongVariant[] = [
  core(
    'look-ahead/guess.ts',
    'every engine is out of gear while one reverses',
    '  s[G.STAY] = stay;',
    '  s[G.STAY] = 0;',
  ),
  core(
    'look-ahead/guess.ts',
    'an engine that stays in gear turns no faster for its throttle',
    'const stays = s[G.STAYS]! + comes * (1 - s[G.STAYS]!);',
    'const stays = s[G.STAYS]!;',
  ),
  core(
    'look-ahead/bursts.ts',
    'only what is nearest all round is come nearer to',
    'const over = (rooms[i]! - nextRooms[i]!) / seconds - BURSTS.creeps;',
    'const over = (Math.min(...rooms) - Math.min(...nextRooms)) / seconds - BURSTS.creeps;',
  ),
  core(
    'look-ahead/bursts.ts',
    'a boat that hardly goes loses nothing',
    'const lacks = speed - Math.max(0, going);',
    'const lacks = 0 * (speed - Math.max(0, going));',
  ),
  core(
    'look-ahead/learn.ts',
    'a current is forgotten like a gust',
    'learnt[SET + j] = within(learnt[SET + j]! + BELIEVED * wrong, MOST_SET);',
    'learnt[SET + j] = within(REMEMBERED * (learnt[SET + j]! + BELIEVED * wrong), MOST_SET);',
  ),
  core(
    'look-ahead/learn.ts',
    'the boat is set the other way than it comes out',
    'east: told.east + learnt[SET]!,',
    'east: told.east - learnt[SET]!,',
  ),
  core(
    'look-ahead/moves.ts',
    'a boat can not be left to drift',
    'else felt(k, wheel, way * HARDLY_MPS);',
    'else felt(0, 0, 9);',
  ),
  core(
    'plan/plan-controller.ts',
    'what somebody is late with is forgotten as the next step comes',
    'this.due = [...owed, ...this.queue(step.orders, first)];',
    'this.due = this.queue(step.orders);',
  ),
  core(
    'plan/plan-controller.ts',
    'the next step is done before what was owed',
    'at: Math.max(first, time + timed.after),',
    'at: time + timed.after,',
  ),
  core(
    'look-ahead/moves.ts',
    'shunts that are set beyond the grid shut the goal off',
    'if (far > SET_MOST_CELLS * cell) continue;',
    '',
  ),
  core(
    'look-ahead/worker.ts',
    'there at the first look that may be',
    'if (rests && off <= THERE.lie) row[SURE]! += 1;',
    'if (rests && off <= THERE.lie) row[SURE]! += 10;',
  ),
  core(
    'simulation/spring-hand.ts',
    'motored on a spring that is not on',
    'if (!isHolding(state, world, line)) {',
    'if (row[GEAR]! > 99) {',
  ),
  core(
    'look-ahead/ways.ts',
    'a boat that touches has no way off',
    'room < -TOUCHING_WAYS.deep ? -1',
    'room < 0 ? -1',
  ),
  core(
    'plan/plan-controller.ts',
    'what was done before the next order is given counts as that',
    'if (this.due.some(({ timed }) => isWatched(timed.order))) this.state.hand.done = false;',
    '',
  ),
  core(
    'look-ahead/nearby.ts',
    'a boat turns short round by the other side',
    "const side = by === 'port' ? -1 : by === 'starboard' ? 1 : 0;",
    "const side = by === 'port' ? 1 : by === 'starboard' ? -1 : 0;",
  ),
  core(
    'look-ahead/nearby.ts',
    'what lies the other way costs nothing',
    'back * NEARBY.other +',
    '',
  ),
  core(
    'plan/orders/on-the-spot.ts',
    'sideways goes to the other side',
    'x: x + by.ahead * s + by.aside * c,',
    'x: x + by.ahead * s - by.aside * c,',
  ),
  core(
    'simulation/stick-hand.ts',
    'what goes on pushing is never found out',
    'row[HELD + k]! + ON_STICK.learns * lacks,',
    'row[HELD + k]!,',
  ),
  core(
    'look-ahead/worker.ts',
    'whoever holds the boat somewhere stops as soon as it is there',
    'if (there && !prospect.stays) {',
    'if (there) {',
  ),
];
