import type { GoalKind, Refusal, RefusalCode } from '@/planner';

const GOAL_WORDS: Readonly<Record<GoalKind, { readonly of: string; readonly does: string }>> = {
  lie: { of: 'coming to lie somewhere', does: 'comes to lie somewhere' },
  clear: { of: 'going off a berth', does: 'goes off' },
  through: { of: 'going through a lock', does: 'goes through a lock' },
};
const does = (goal: GoalKind): string => `this manoeuvre ${GOAL_WORDS[goal].does}`;

const BY_HAND = 'composed by hand';
const LANDING = 'lie at the landing with bollards for bow and stern';
const MEANWHILE = {
  'the lock is made ready': 'the lock is made ready',
  'the first goes in': 'who is first goes in',
} as const;

type Words = { readonly [C in RefusalCode]: (given: Extract<Refusal, { why: C }>) => string };

const WORDS: Words = {
  'other goal': (r) => `it is for ${GOAL_WORDS[r.for].of}; ${does(r.is)}`,
  'written for another goal': (r) => `it was written for ${GOAL_WORDS[r.for].of}; ${does(r.is)}`,
  'cannot be laid out': () =>
    'tried here it cannot be laid out for the boats there are; compose it by hand',

  'no engine': () => 'the boat has no engine',
  'no thruster': () => 'the boat has no thruster',
  'neither joystick nor thruster': () => 'the boat has neither joystick nor thruster',
  'no two shafts apart': () => 'the boat has no two shafts apart',
  'no rudder in a race': () => 'no rudder of the boat stands in the wash of a propeller',
  'no helm named': () => 'the boat has no helm named',

  'names no berth': () => 'the manoeuvre names nothing the boat lies against',
  'not at its berth': () => 'the boat does not lie at its berth as it begins',
  'along the berth already': () => 'the boat lies along the berth already',
  'an end to the berth': () => 'the boat is to lie with an end to it, not a side',
  'for open water': () => 'it is for open water; this manoeuvre ends at a berth',
  'turn right round': () => 'the boat would have to turn right round',
  'turn into it': () => 'the boat would have to turn into it',
  'turn too much for one engine': () => 'the turn is too much for one engine',
  'turn to make': () => 'the boat has to turn as well as stop',
  'hardly a turn': () => 'there is hardly a turn to make',
  'not lying there yet': () => 'the boat is not lying there yet',
  'berth along the way': () => 'the berth lies along the boat’s way, not across it',
  'lies the other way round': ({ bow }) => `the boat is to lie with its bow ${bow}`,
  'not bow to something': () => 'it is for lying with the bow to something, piles at the stern',
  'not stern to the quay': () => 'it is for lying with the stern to the quay',
  'no buoy': () => 'it is for a buoy, and the boat comes to none',
  'not bow at the buoy': () => 'it is for lying with the bow at the buoy',
  'not staying alongside': () => 'it is for staying where the boat lies alongside',
  'not shifting along': () => 'it is for shifting along the berth the boat lies at',

  'no current': () => 'there is no current to glide on',
  'current not from ahead': () => 'the current does not come from ahead along the berth',

  'no bollard for a spring': ({ end }) =>
    `no bollard or pile stands where a ${end} spring would lead from where the boat lies`,
  'no bollard for a spring aft': () =>
    'no bollard stands where a spring would lead aft from where the boat lies',
  'no open water beside the berth': () =>
    'beside the berth there is no open water to come up to a spring from',
  'no bollard near midships': () =>
    'no bollard or pile stands within reach of the midship cleat where the boat is to lie',
  'no bollard abreast of midships': () => 'no bollard or pile stands abreast of the midship cleat',
  'no bollard abreast of the quarter': () =>
    'no bollard stands abreast of the quarter where the boat lies',
  'no bollards for both quarters': () =>
    'no bollards stand at the quay for lines from both quarters',
  'no bollards to warp by': () => 'no bollards stand where a warp and a check line would lead',
  'further than a line reaches': () => 'that is further than one line reaches',
  'no pile': ({ side }) => `no pile stands at the boat’s ${side} quarter`,
  'nothing ahead for bow lines': () => 'nothing stands ahead for the bow lines',
  'no ground line': () => 'no ground line lies before the berth',
  'ground lines in the way': () => 'ground lines lie before the berth: an anchor would foul them',

  'against no other boat': () => 'the boat is to lie against no other boat',
  'no cleat abreast': ({ name }) =>
    `no cleat of ${name} is abreast of the bow and of the stern where the boat is to lie`,
  'no boat outside': () => 'no other boat lies outside',
  'no bollards for the boat outside': () =>
    'there is no bollard ahead and astern for the boat outside to hold itself by',

  'no crew named': () => 'the manoeuvre names no crew; say under Lines & crew who is where',
  'nobody to step ashore': () =>
    'nobody but the helm is aboard; who steps ashore leaves nobody to steer',
  'nobody to take up': () => 'nobody is ashore to be taken up',
  'no landing': () => 'the boat is to lie against another boat, not at a landing',
  'nobody at the helm': () => 'nobody is at the helm',

  'too broad for the chamber': () => 'the boat is too broad for the chamber',
  'too long for the chamber': () =>
    'the boat is too long to lie clear of the cill and of the gates as they open',
  'too little water over the cill': () => 'there is not water enough over the cill',
  'bridge too low': ({ name }) => `${name} is too low for the boat`,
  'in the chamber already': () => 'the boat lies in the chamber already',
  'not before the gates': () => 'the boat does not lie before the gates',
  'not heading for the gates': () => 'the boat does not head for the gates',
  'lock set against': ({ set }) => `the lock is set against the boat; set it ${set}, or ${LANDING}`,
  'gates shut': () => `the gates are shut before the boat; let them stand open, or ${LANDING}`,
  'nothing along the chamber': () =>
    'nothing stands along the chamber that the midship line could go to',
  'too little time': ({ least, limit, alone }) =>
    `${alone ? 'alone ' : ''}the passage takes ${Math.ceil(least / 60)} minutes at least, and the manoeuvre is over after ${Math.round(limit / 60)}: give it longer, at its end`,
  'no staircase': () =>
    'more than one lock is worked in this manoeuvre, and they are no staircase on the boat’s way',
  'staircase not full': ({ upper, lower }) =>
    `${lower} is filled with the water of ${upper}, which is not full enough; it wants to be set above, or the boat to lie at the landing meanwhile`,
  'staircase not empty': ({ upper, lower }) =>
    `${upper} would run over into ${lower}, which is not empty; it wants to be set below, or the boat to lie at the landing meanwhile`,
  'staircase without water': ({ upper, lower }) =>
    `${upper} and ${lower} do not meet with water enough for the boat over the cill between them`,

  'more than one boat shares': () => `more than one boat goes too; who goes where is ${BY_HAND}`,
  'staircase shared': () => `sharing a staircase is ${BY_HAND}`,
  'drifts while another goes in': ({ name }) =>
    `the boat drifts while ${name} goes in first; let it ${LANDING}, or nearer to the gates`,
  'other not along the chamber': ({ name }) =>
    `${name} does not lie along the chamber with the bow to the gates ahead`,
  'other neither in nor before': ({ name }) =>
    `${name} neither lies in the chamber nor before the same gates with the bow to them`,
  'no room beside': ({ name }) => `there is no room beside ${name}`,
  'other between the gates': ({ name }) =>
    `${name} lies between the gates; let the boat lie in the chamber, or before it`,
  'other has no engine': ({ name }) => `${name} has no engine to come in by`,
  'nothing for the lines of': ({ name }) =>
    `nothing stands along the other wall for the lines of ${name}`,
  'other too long': ({ name }) =>
    `${name} is too long to lie clear of the cill and of the gates as they open`,
  'other drifts': (r) => `${r.name} drifts while ${MEANWHILE[r.while]}; let the boat ${LANDING}`,

  'not one person': () =>
    'it is for one person by themselves: name one, aboard, under Lines & crew',
  'alone beside another': () => `alone beside another boat is ${BY_HAND}`,
  'alone through a staircase': () => `alone through a staircase is ${BY_HAND}`,
  'no ladder': () =>
    'no ladder leads out of the chamber where the boat could lie by it and a bollard',
  'gates shut to one alone': () =>
    'the gates do not stand open to the boat; alone the lock is made ready from the landing before, by hand',
  'too slow by one side': () =>
    'with the paddles of one side its water is not made within the hour',
};

/** Why a technique is not for a manoeuvre, and where it can be helped what to do. */
export function refusalWords<C extends RefusalCode>(refusal: Extract<Refusal, { why: C }>): string {
  return (WORDS[refusal.why as C] as (given: typeof refusal) => string)(refusal);
}
