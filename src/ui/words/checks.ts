import { NOT_THERE, type Finding } from '@/core/checks';
import { EYE_OVER_DECK_M } from '@/core/policy';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { boatSpeed, distance, tidy, type Units } from './units';

export interface CheckWords {
  readonly text: string;
  /** Why it matters and what to try. */
  readonly why: string;
}

const HANDS_WORDS: Readonly<Record<number, (who: string) => CheckWords>> = {
  [NOT_THERE.WALKS]: (who) => ({
    text: `${who} is not where the order wants them`,
    why: 'Somebody ashore reaches nothing aboard, and the other way round. Let them step first, or give it to another.',
  }),
  [NOT_THERE.STEPS]: (who) => ({
    text: `${who} waits to step and cannot`,
    why: 'The boat is too far off or too fast. Nobody jumps: bring it closer and stop it first.',
  }),
  [NOT_THERE.HELM]: (who) => ({
    text: `nobody is at the helm while ${who} is away from it`,
    why: 'Orders to wheel and engines wait until they are back. Alone, lead the line to the helm or stop the boat before.',
  }),
  [NOT_THERE.ACROSS]: (who) => ({
    text: `${who} cannot get there on foot`,
    why: 'One crosses a lock by gates that stand shut or by a bridge. Shut some first, or let somebody on that side do it.',
  }),
  [NOT_THERE.HIGH]: (who) => ({
    text: `${who} cannot step: it stands too high over the deck`,
    why: 'Nobody climbs a bare wall. Stop the boat with a ladder within a step of its side, or let somebody step at a landing before.',
  }),
  [NOT_THERE.LINE]: (which) => ({
    text: `the ${which} does not get where it is wanted`,
    why: 'Too far to reach, too much load on it, or nobody there to take it. See when it comes within reach.',
  }),
};

const the = (which: string | null) => (which ? `${which}: ` : '');

/** A finding in words, with why it matters and what to try. */
export function checkWords(finding: Finding, units: Units): CheckWords {
  const { rule, figure, limit, which } = finding;
  switch (rule) {
    case 'steering late':
      return {
        text: `${the(which)}the wheel is ${Math.round(figure * DEGREES_PER_RADIAN)}° from where it is wanted when the gear takes hold`,
        why: 'The burst goes the wrong way first. Order the wheel earlier, or the gear a moment later.',
      };
    case 'no pause in neutral':
      return {
        text: `${the(which)}${figure < 0.05 ? 'no pause' : `only ${tidy(figure, 1)} s`} in neutral between ahead and astern`,
        why: `The boat’s gearbox asks for ${tidy(limit, 1)} s and makes it wait for it. Order neutral that much before.`,
      };
    case 'against her way':
      return {
        text: `${the(which)}put in gear against ${boatSpeed(figure, units)} of way`,
        why: `Hard on the gearbox above ${boatSpeed(limit, units)}, and it takes long to bite. Let the boat lose way in neutral first.`,
      };
    case 'left in gear':
      return {
        text: `${the(which)}still in gear at the end`,
        why: 'The boat goes on pushing while hands are on lines. Add neutral to the last step, or a step for it.',
      };
    case 'much throttle close in':
      return {
        text: `${the(which)}${Math.round(figure * 100)} % throttle for over 3 s with something within half the boat’s length`,
        why: 'What goes wrong then goes wrong fast. A shorter burst or an earlier one does the same.',
      };
    case 'thruster long on':
      return {
        text: `${which ?? 'the thruster'} is nearly hot after ${Math.round(figure)} s`,
        why: `It cuts out at about ${Math.round(limit)} s of full power. Use shorter bursts, or the engine.`,
      };
    case 'steps at once':
      return {
        text: `comes ${figure < 0.05 ? 'at the same moment as' : `${tidy(figure, 1)} s after`} the step before`,
        why: 'One pair of hands does one thing at a time. Put both in one step, or let the cue come later.',
      };
    case 'order overtaken':
      return {
        text: `what is ordered ${tidy(figure, 1)} s after it is never done: the next step comes after ${tidy(limit, 1)} s`,
        why: 'A step’s orders replace what earlier ones still had to come. Order it sooner, or in the step that comes.',
      };
    case 'crew not there':
      return (
        HANDS_WORDS[figure]?.(which ?? 'somebody') ?? HANDS_WORDS[NOT_THERE.WALKS]!('somebody')
      );
    case 'unseen from the helm':
      return {
        text: `${which ?? 'its mark'} is hidden from the helm by the boat’s own deck when it is expected near`,
        why: `An eye ${distance(EYE_OVER_DECK_M, units)} over the deck’s edge sees nothing low for ${distance(figure, units)} beyond it there. Have it called out, or expect it of a mark abeam.`,
      };
    case 'turned before it opens':
      return {
        text: `turned in while ${which ?? 'something'} still stands between the bow and the berth`,
        why: `The berth is ${distance(figure, units)} off and not yet open. Wait for it: most turns into a berth begin too soon.`,
      };
    case 'no way out written':
      return {
        text: `${distance(figure, units)} clear and no way out written`,
        why: `Nearer than ${distance(limit, units)} everybody should know what is done if it goes wrong.`,
      };
  }
}
