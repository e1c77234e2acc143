import type { FigureId } from '@/document';

/** A figure's name, and what is done in it. */
export const FIGURE_WORDS: Readonly<Record<FigureId, readonly [string, string]>> = {
  'alongside-wheel-and-gear': [
    'Alongside by wheel and gear',
    'in at an angle, neutral, turned along the berth, stopped astern',
  ],
  'alongside-gears-alone': [
    'Alongside by the gears alone',
    'wheel amidships, the outer engine astern turns her and stops her',
  ],
  'alongside-sideways': [
    'Alongside sideways',
    'stopped abreast of the berth, then pushed in by joystick or thrusters',
  ],
  'ferry-glide-in': [
    'Ferry glide in',
    'up into the stream at an angle, which comes off as she nears',
  ],
  'slip-bow-in': [
    'Into the slip bow first',
    'turned in as the mouth opens, neutral, stopped astern',
  ],
  'slip-stern-in': [
    'Into the slip stern first',
    'stopped past it, swung on the spot, then astern in',
  ],
  'stop-straight': ['Stop straight', 'aimed off, then astern, coming straight as she stops'],
  'turn-on-the-spot': [
    'Turn on the spot',
    'bursts ahead and astern with the wheel hard over, or engines opposed',
  ],
  'wait-out-a-gust': ['Wait out a gust', 'held bow to the weather by short bursts'],
  'drop-off-and-away': ['Drop off and away', 'let the wind take her off, then ahead and out'],
  'stern-out-and-astern': [
    'Stern out, then astern',
    'her stern thrown off first, then astern away',
  ],
  'bow-off-by-thruster': ['Bow off by the thruster', 'bow pushed off, then ahead and out'],
  'sideways-off': ['Off sideways', 'pushed off by joystick or thrusters'],
  'astern-out': ['Astern straight out', 'astern out of the slip, stopped in the aisle'],
  'spring-off-by-the-bow': [
    'Sprung off, stern first',
    'ahead on a bow spring with the wheel to the berth until her stern is off, then astern',
  ],
  'spring-off-by-the-stern': [
    'Sprung off, bow first',
    'astern on a stern spring until her bow is off, spring home, then ahead',
  ],
  'alongside-on-a-spring': [
    'Alongside on a first spring',
    'in at an angle, a measured spring dropped on amidships, idle ahead on it',
  ],
  'alone-last-line-on-a-slip': [
    'Alone, the last line on a slip',
    'bow and stern line let go by walking, a doubled breast line slipped from the helm, then off',
  ],
  'slip-on-a-spring': [
    'Into the slip on a measured spring',
    'turned in, a spring dropped on in passing stops her short of the end',
  ],
};
