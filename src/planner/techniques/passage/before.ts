import type { LineDocument } from '@/document/rigging';
import { call } from '../../template';
import { landingLines, setAgainst } from './landing';
import { comingIn } from './coming';
import type { Entry } from './entry';
import { otherUnready, type PassageLie } from './lie';
import { linesOnOf } from './neighbour';
import {
  putAshore,
  readied,
  slippedAfter,
  START,
  turnedRound,
  waiting,
  type Waits,
} from './waiting';
import type { Hands } from './water';
import type { Setting } from '../../setting';

/**
 * What is done before she goes in, on her lines at the landing: somebody put ashore, a staircase made ready, the lock turned
 * round for her, another boat let in first. Nothing, and no lines, where she goes at once.
 *
 * @param steps who is put ashore, by name
 * @param entry how a boat that goes in first does so
 */
export function beforeShe(
  setting: Setting,
  lies: readonly PassageLie[],
  hands: Hands,
  steps: string | undefined,
  entry: Entry | null,
): { readonly waits: Waits | null; readonly landing: readonly LineDocument[] | null } {
  const lie = lies[0]!;
  const { sited, from, neighbour } = lie;
  const leads = neighbour?.comes?.first ? neighbour : null;
  const against = setAgainst(sited, from) !== null;
  const unready = otherUnready(setting, lie);
  const landing = against || leads || unready || steps ? landingLines(setting) : null;
  if (!landing) return { waits: null, landing };
  const crewed = steps ? putAshore(steps, landing) : START;
  if (leads) {
    const onLines = call(`on bow and stern line while ${leads.other.name} goes in`);
    const {
      steps: made,
      cue,
      then,
    } = against ? turnedRound(lie, hands, crewed) : { ...crewed, then: [] };
    const steps = comingIn(setting, sited, leads, lie, cue, [onLines, ...then], entry!);
    const when = `${leads.other.name} lies on her lines`;
    const waits = slippedAfter([...made, ...steps], hands, when, linesOnOf(leads));
    return { waits, landing };
  }
  const other = unready ? readied(lies[1]!, hands, crewed) : null;
  if (against) return { waits: waiting(lie, hands, other ?? crewed), landing };
  const waits = other
    ? slippedAfter(other.steps, hands, 'the staircase is ready', other.cue)
    : slippedAfter(crewed.steps, hands, `${steps} is ashore`, crewed.cue);
  return { waits, landing };
}
