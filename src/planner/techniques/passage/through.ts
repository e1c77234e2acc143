import { lineLength } from '@/core/locks';
import { planOf, template, tenth, type PlanTemplate } from '../../template';
import type { Setting } from '../../setting';
import { enters, goesOn } from './enter';
import { entryOf } from './entry';
import { fills } from './fill';
import { lockCrewOf } from './lock-crew';
import { holds } from './hold';
import { landingLines } from './landing';
import { clearOfIt, leaves } from './leave';
import { CENTRE_LINE, liesInLock, type PassageLie } from './lie';
import { neighbourLines } from './neighbour';
import { passageParameters } from './numbers';
import { inChamber, inTurn, type Passage } from './phase';
import { landingLine, pickUpAt, takesUp } from './pick-up';
import { stepsAshore, waits } from './wait';

/** Of the water's rise and fall over the deck a line is longer by so much, m. */
const SPARE_M = 6;

/** One line, from a cleat round a bollard and back, as long as any chamber asks for. */
function centreLine({ boat }: Setting, lies: readonly PassageLie[]) {
  const rope = lies.map(({ sited: { lock, coping }, lead }) =>
    lineLength(lock, coping, Math.max(3, lead), boat.hull.freeboard),
  );
  return {
    name: CENTRE_LINE,
    from: lies[0]!.cleat,
    length_m: Math.ceil(Math.max(...rope)) + SPARE_M,
    rope: 'polyester',
    strengthLeft: 0.6,
    doubled: true,
    ...ledTo(boat),
  } as const;
}

const ledTo = ({ points }: Setting['boat']) =>
  points.some(({ name }) => name === 'helm') ? { ledTo: 'helm' } : {};

/**
 * Wait, enter, hold, fill, leave, pick up: through one chamber, or those of a staircase one after the other. Null where whoever
 * shares it was tried in the lock itself, and does not come in or stop.
 */
function throughAt(setting: Setting, lies: readonly PassageLie[]): PlanTemplate | null {
  const lie = lies[0]!;
  const { neighbour, sited, going } = lie;
  const ashore = stepsAshore(setting, landingLines(setting));
  const crew = lockCrewOf(setting, ashore);
  const entry = neighbour?.comes ? entryOf(setting, lie, neighbour) : null;
  if (neighbour?.comes && !entry) return null;
  const pickUp = pickUpAt(setting, lies.at(-1)!, crew);
  const passage: Passage = { setting, lies, crew, entry, pickUp };
  const { phase: waiting, landing } = waits(passage, ashore);
  const follows = neighbour?.comes && !neighbour.comes.first;
  return template({
    // The rest waits for the water.
    decided: lies.length > 1 ? `held-in-${lies.length}` : follows ? 'her-slip' : 'held',
    parameters: passageParameters(setting, lies),
    write(numbers) {
      const chambers = lies.flatMap((each, i) => {
        const phases = [
          i === 0 ? enters(passage, numbers) : goesOn(passage, lies[i - 1]!, each, numbers),
          holds(passage, each),
          fills(passage, each),
        ];
        return i === 0 ? phases : phases.map((phase) => inChamber(i + 1, phase));
      });
      const out = [
        leaves(passage, numbers),
        pickUp ? takesUp(passage, pickUp, numbers) : clearOfIt,
      ];
      const { steps, then } = inTurn([...chambers, ...out], waiting);
      const carriesOn = { is: 'after', time_s: tenth(Math.max(6, 0.8 * setting.length)) } as const;
      return planOf([...steps], pickUp ? then : carriesOn, 60, [
        centreLine(setting, lies),
        ...landing,
        ...(pickUp ? [{ ...landingLine(pickUp, setting), ...ledTo(setting.boat) }] : []),
        ...(neighbour ? neighbourLines(setting, sited, neighbour, going) : []),
      ]);
    },
  });
}

/** Through the lock that is worked, or both of a staircase, at the wall the wind lays the boat to. */
export const throughTheLock = (setting: Setting): readonly PlanTemplate[] =>
  liesInLock(setting)
    .slice(0, 1)
    .flatMap((lies) => throughAt(setting, lies) ?? []);
