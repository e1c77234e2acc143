import type { School, SchoolOf } from '@/core/policy';
import type { Certificate, Share } from '@/core/reliability';
import type { PlanDocument } from '@/document';
import { crewFor, type Doing, type Remedy, type SuggestedPlan } from '@/planner';
import { causeText } from './reliability';
import { boatSpeed, windSpeed, type Units } from './units';

const DOING: Readonly<Record<Doing, string>> = {
  laying: 'Looking for ways to do it',
  choosing: 'Trying them out',
  certifying: 'Counting how often the best of them hold',
  'reference helm': 'Finding out what is possible at all',
  'one more hand': 'Trying it with somebody at the bow',
  'less wind': 'Trying it with less wind',
  'other way round': 'Trying it the other way round',
};

export const doingWords = (doing: Doing): string => DOING[doing];

const ofHundred = (share: number) => Math.round(100 * share);

/** "Holds in 24 of 25 tries: between 80 and 99 of 100" */
export const holdsWords = ({ share, least, most, runs }: Share): string =>
  `Holds in ${Math.round(share * runs)} of ${runs} tries: between ${ofHundred(least)} and ${ofHundred(most)} of 100`;

/** Ways people are taught, as they are offered. */
export const SCHOOL_WORDS: {
  readonly [K in SchoolOf]: Readonly<Record<School[K], string>>;
} = {
  throttle: {
    'as needed': 'as needed',
    'gears alone': 'never touched, gears alone',
  },
  thruster: { freely: 'freely', 'as a backup': 'only as a backup' },
  spring: {
    'by the wind': 'where the wind blows off the berth',
    first: 'wherever there is one',
    never: 'never',
  },
};
/** What each of them is about. */
export const SCHOOL_TITLES: Readonly<Record<SchoolOf, string>> = {
  throttle: 'Throttle',
  thruster: 'Thruster',
  spring: 'A spring first',
};

/** "In on a bow spring" */
export const techniqueWords = ({ spring, idle }: SuggestedPlan['way']): string =>
  `${spring ? 'In on a bow spring' : 'By short bursts'}${idle ? ', gears alone' : ''}`;

/** "By short bursts, 1.9 kn at the most, with the thruster; 14 gear changes; a hand for the lines" */
export function wayWords(
  { way, plan, gearChanges }: SuggestedPlan,
  hasThruster: boolean,
  units: Units,
): string {
  const { most, thrusters } = way;
  const by = !hasThruster ? '' : thrusters ? ', with the thruster' : ', without the thruster';
  const hands = crewFor(way, plan) > 1 ? '; a hand for the lines' : '';
  return `${techniqueWords(way)}, ${boatSpeed(most, units)} at the most${by}; ${gearChanges} gear changes${hands}`;
}

/** What most of the tries that fail come to; null where all hold. */
export function failsWords({ causes }: Certificate, plan: PlanDocument): string | null {
  const [first] = causes;
  return first ? `Most that fail: ${causeText(first, plan)}` : null;
}

/** "With 4 kn of wind it holds in 24 of 25 tries" */
export function remedyWords({ is, wind, certificate }: Remedy, units: Units): string {
  const what = {
    'less wind': `With ${windSpeed(wind, units)} of wind`,
    'other way round': 'The other way round',
    'one more hand': 'With somebody at the bow who calls distances',
  }[is];
  return `${what}: ${holdsWords(certificate).toLowerCase()}`;
}

/** What is possible at all, held against what was found. */
export const possibleWords = ({ share, runs }: Share): string =>
  `A helm that sees everything and is never late holds in ${Math.round(share * runs)} of ${runs} of these tries.`;
