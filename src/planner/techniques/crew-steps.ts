import type { Person } from '@/core/plan';
import type { OrderDocument, SimpleCue } from '@/document/plan';
import { call, engine, wheel, type PlanTemplate } from '../template';
import { lieOf, type Setting } from '../setting';
import { refusal, type Refusal } from '../refusals';

// Somebody put ashore at a landing, or taken up from it: the propeller stands still, the boat lies still, they step.

/** Stepping takes a few seconds once the boat is near and still enough; else it comes to nothing. */
const WITHIN_S = 45;
const MOST_CUES = 6;
const WHO_STEPS = 12;

const crewOf = ({ input }: Setting): readonly Person[] => input.rigging?.crew ?? [];

/** Who steps: of those aboard whoever is not at the helm, of those ashore everybody. */
function stepping(setting: Setting, to: 'ashore' | 'aboard'): readonly Person[] {
  return crewOf(setting).filter(({ at }) =>
    to === 'ashore' ? at.aboard && at.point.name !== 'helm' : !at.aboard,
  );
}

/** Why nobody is put ashore or taken up; null where somebody is. */
export function nobodySteps(setting: Setting, to: 'ashore' | 'aboard'): Refusal | null {
  const crew = crewOf(setting);
  if (crew.length === 0) return refusal('no crew named');
  if (stepping(setting, to).length === 0)
    return to === 'ashore' ? refusal('nobody to step ashore') : refusal('nobody to take up');
  if (lieOf(setting).mark.boat) return refusal('no landing');
  return crew.some(({ at }) => at.aboard && at.point.name === 'helm')
    ? null
    : refusal('nobody at the helm');
}

/** The same way in, stopped close by in neutral; then they step, one after another, where the boat is to lie nearest. */
export function crewed(
  setting: Setting,
  base: PlanTemplate,
  to: 'ashore' | 'aboard',
): PlanTemplate {
  const { mark, point } = lieOf(setting);
  const people = stepping(setting, to);
  const over = people.map(({ name: by }): OrderDocument =>
    to === 'ashore'
      ? { do: 'stepAshore', after_s: 0.5, by, mark: mark.name }
      : { do: 'stepAboard', after_s: 0.5, by, point: point.name },
  );
  const who = people.length === 1 ? people[0]!.name.slice(0, WHO_STEPS) : 'they';
  const verb = people.length === 1 ? 'steps' : 'step';
  return {
    parameters: base.parameters,
    write: (numbers) => {
      const plan = base.write(numbers);
      const last = plan.steps.length - 1;
      const steps = plan.steps.map((one, i) =>
        i === last
          ? {
              ...one,
              title: `neutral, still: ${who} ${verb} ${to}`,
              orders: [
                engine('neutral'),
                wheel(0),
                call(`neutral; step ${to} when the boat is still, no jumping`),
                ...over,
              ],
            }
          : one,
      );
      const across = people
        .slice(0, MOST_CUES)
        .map(({ name }): SimpleCue => ({ is: 'crew', who: name, where: to }));
      return { ...plan, steps, end: { cue: { is: 'all', of: across }, within_s: WITHIN_S } };
    },
  };
}
