import type { Caution, ReadyItem } from '@/core/brief';

/** What is made ready, and why. */
export const READY_WORDS: Readonly<Record<ReadyItem, readonly [string, string]>> = {
  'neutral-first': ['engine in neutral before it is started', 'so that the boat does not move off'],
  'cooling-water': ['cooling water comes out', 'an engine that quits is found now, not in the gap'],
  'kill-cord': ['kill cord on', 'a helm thrown off must stop the engine'],
  'both-gears': ['ahead and astern tried', 'before the last line is off'],
  'lock-to-lock': ['steering tried from lock to lock', 'and left where the first step wants it'],
  thrusters: ['thrusters tried both ways', 'switch, battery, and nothing in the tunnel'],
  joystick: ['joystick tried, and how to take the boat back from it', 'it may fail'],
  'shore-power': ['shore power and hoses off', ''],
  fenders: [
    'fenders on both sides at the height of what the boat meets',
    'the far side is the one forgotten',
  ],
  'roving-fender': ['a roving fender in hand', 'instead of a hand or a foot'],
  'lines-on': [
    'lines rigged outside everything and led back',
    'the one that holds the boat first on top',
  ],
  'lines-off': ['lines singled up; the last is the one that holds the boat', ''],
  'boat-hook': ['boat hook at hand', ''],
  'lock-line': [
    'a line long enough to go round a bollard on the coping and back aboard',
    'its tail in a hand, never made fast as the water goes',
  ],
  'lock-signs': [
    'the signal between helm and paddles agreed, and that it is waited for',
    'before every paddle, every time',
  ],
  'lock-windlass': ['windlass in hand, shoes that hold, nobody runs or jumps a gate', ''],
  'lock-cill': [
    'the cill mark seen, and one of you told to watch the stern against it',
    'going down it comes out of the water behind the boat',
  ],
  'lock-gates': [
    'bow kept clear of the upper gates and of anything it could catch under',
    'fenders up in a chamber the boat only just fits',
  ],
  'lock-sharing': [
    'agreed with the other boat: who goes in first, on which side, who leaves first',
    'the other boat going out draws on yours',
  ],
  'lock-alone': [
    'ladder found, line led from amidships to hand, engine in neutral before leaving the helm',
    'alone everything takes longer, and nobody sees the cill for you',
  ],
  crew: ['crew told what comes, who does what and what is called', 'nobody knew the plan'],
  'way-out': [
    'everybody knows when it is broken off, and how',
    'coming round again is good handling',
  ],
  'look-astern': ['somebody looks astern before the boat goes astern', ''],
  harbour: ['harbour or marina called, if that is asked', 'local rules come first'],
};

export const CAUTION_WORDS: Readonly<Record<Caution, string>> = {
  between: 'Nobody puts hand, foot or body between the boat and anything. Fend with fenders.',
  step: 'Nobody jumps. Step ashore only when the boat lies close and still.',
  propeller: 'Nobody boards or leaves, and no line or swimmer is near, while a propeller turns.',
  astern: 'Never astern with people in the water or at the stern.',
  lines: 'Hands clear of a loaded line and out of bights; nobody stands in line with one.',
  wash: 'At this speed the boat’s wash moves moored boats and harms banks. Slow down.',
  'lock-fast': 'Never make a line fast in a lock going down: hold it on a turn, and let it run.',
  'lock-paddles':
    'Paddles are wound, never dropped. If anything catches: all paddles down first, then look.',
  'kill-cord': 'Kill cord on, round the leg of whoever steers.',
};
