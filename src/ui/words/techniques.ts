import type { Boat, GoalDocument } from '@/document';
import type { TechniqueId, Way } from '@/planner';
import { namedPoints } from '@/document';
import { outcomeWords } from './outcomes';
import { distance, windSpeed, type Units } from './units';
import { limitWords } from './way-out';

/** A technique's name, and what is done in it. */
export const TECHNIQUE_WORDS: Readonly<Record<TechniqueId, readonly [string, string]>> = {
  'alongside-wheel-and-gear': [
    'Alongside by wheel and gear',
    'in at an angle, neutral, turned along the berth, stopped astern',
  ],
  'alongside-gears-alone': [
    'Alongside by the gears alone',
    'wheel amidships, the outer engine astern turns the boat and stops it',
  ],
  'alongside-sideways': [
    'Alongside sideways',
    'stopped abreast of the berth, then pushed in by joystick or thrusters',
  ],
  'alongside-walked-in': [
    'Alongside, walked in sideways',
    'stopped abreast of the berth, then engines opposed and the wheel over',
  ],
  'ferry-glide-in': [
    'Ferry glide in',
    'up into the current at an angle, which comes off as the boat nears',
  ],
  'slip-bow-in': [
    'Into the slip bow first',
    'turned in as the mouth opens, neutral, stopped astern',
  ],
  'slip-stern-in': [
    'Into the slip stern first',
    'bow swung away, under way or stopped past it, then astern in',
  ],
  'stop-straight': ['Stop straight', 'aimed off, then astern, coming straight as the boat stops'],
  'turn-on-the-spot': [
    'Turn on the spot',
    'bursts ahead and astern with the wheel hard over, or engines opposed',
  ],
  'wait-out-a-gust': ['Wait out a gust', 'held bow to the weather by short bursts'],
  'ferry-glide-out': [
    'Ferry glide out',
    'bow a little off into the current, which carries the boat off sideways',
  ],
  'drop-off-and-away': ['Drop off and away', 'let the wind take the boat off, then ahead and out'],
  'stern-out-and-astern': [
    'Stern out, then astern',
    'the stern thrown off first, then astern away',
  ],
  'bow-off-by-thruster': ['Bow off by the thruster', 'bow pushed off, then ahead and out'],
  'sideways-off': ['Off sideways', 'pushed off by joystick or thrusters'],
  'walk-off': [
    'Walked off sideways',
    'by engine and wheel: engines opposed, or bow out and stern out by turns',
  ],
  'astern-out': ['Astern straight out', 'astern out of the slip, stopped in the aisle'],
  'spring-off-by-the-bow': [
    'Sprung off, stern first',
    'ahead on a bow spring with the wheel to the berth until the stern is off, then astern',
  ],
  'spring-off-by-the-stern': [
    'Sprung off, bow first',
    'astern on a stern spring until the bow is off, spring home, then ahead',
  ],
  'alongside-on-a-spring': [
    'Alongside on a first spring',
    'in at an angle, a measured spring dropped on amidships, idle ahead on it',
  ],
  'alone-last-line-on-a-slip': [
    'Alone, the last line on a slip',
    'bow and stern line let go by walking, a doubled breast line slipped from the helm, then off',
  ],
  'stern-in-by-hand': [
    'Stern hauled in by hand first',
    'bow line off, the stern line hauled in until the bow points out, then away',
  ],
  'hold-on-a-spring': [
    'Held on a spring',
    'idle ahead on a spring led aft, with as much wheel as keeps the boat alongside',
  ],
  'warp-along': [
    'Warped along the berth',
    'one line hauled by hand, another eased on a turn and made fast to stop the boat',
  ],
  'stern-to-on-ground-lines': [
    'Stern to on ground lines',
    'astern in, windward stern line, held up on it, windward ground line, leeward line last',
  ],
  'bow-in-between-piles': [
    'Bow in between piles',
    'a bight over each pile in passing, windward first, paid out, stopped, then the bow lines',
  ],
  'raft-up': [
    'Raft up',
    'in at an angle, stopped alongside the other boat, bow and stern line over to it',
  ],
  'out-of-a-raft': [
    'Out from inside a raft',
    'the boat outside keeps one line, all else is let go, out slowly, and the boat is hauled in',
  ],
  'stern-to-on-anchor': [
    'Stern to on a bow anchor',
    'anchor let go as the boat begins astern, the chain held to stop it, windward stern line first',
  ],
  'pick-up-a-buoy': [
    'Pick up a buoy',
    'slowly up to it against what pushes, stopped at the bow, a line through its ring at once',
  ],
  'crew-ashore': [
    'Crew ashore at a landing',
    'alongside or stern to it, stopped close by in neutral; whoever goes ashore steps across: nobody jumps, no propeller turns near them',
  ],
  'crew-aboard': [
    'Crew picked up at a landing',
    'alongside or stern to it, stopped close by in neutral; whoever waits ashore steps aboard there before any gear goes in',
  ],
  'through-the-lock': [
    'Through the lock',
    'from the landing or in by the open gates, held on one line that is never fast, its water made at a pace hands can hold, out again; whoever worked it is taken up at the landing beyond',
  ],
  'alone-through-the-lock': [
    'Through the lock alone',
    'in by the open gates, stopped by a ladder; out of gear, up it with the centre line, round a bollard; gates and paddles one at a time, the line tended in between; back down when the gates stand wide',
  ],
  'slip-on-a-spring': [
    'Into the slip on a measured spring',
    'turned in, a spring dropped on in passing stops the boat short of the end',
  ],
};

/** "port side to, heading 343°": how the boat is to lie. */
export function lyingText(goal: GoalDocument, boat: Boat): string {
  if (goal.is !== 'lie') return '';
  const y = namedPoints(boat).find(({ name }) => name === goal.point)?.y ?? 0;
  const heading = `heading ${String(Math.round(goal.heading_deg) % 360).padStart(3, '0')}°`;
  if (y === 0) return heading;
  return `${y < 0 ? 'port' : 'starboard'} side to, ${heading}`;
}

/** What a way came to: that it gets there, the room it leaves, its way out and the wind it fails in; or why it does not. */
export function wayWords({ proposal, goal, limit }: Way<TechniqueId>, units: Units): string {
  const { run, plan, wayOut } = proposal;
  if (run.outcome !== 'reached') {
    const [head, why] = outcomeWords(run, { goal, plan }, units);
    return `does not get there: ${head.toLowerCase()}, ${why}`;
  }
  const { clearance } = run.margins;
  const none = wayOut?.none ?? 0;
  const parts = [
    'gets there',
    clearance && `${distance(clearance.distance, units)} clear of ${clearance.name}`,
    wayOut &&
      (none === 0 ? 'always a way out' : `no way out at ${none} of ${wayOut.looked} moments`),
    limit &&
      (limit.wind === null
        ? `holds beyond ${windSpeed(limit.holdsTo, units)}`
        : `fails in ${windSpeed(limit.wind, units)}: ${limitWords(limit, units)[2]}`),
  ];
  return parts.filter(Boolean).join(', ');
}
