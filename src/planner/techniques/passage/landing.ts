import type { End, SitedLock } from '@/core/locks';
import type { LineDocument } from '@/document/rigging';
import { ashore, bestLead, leadsFrom, lineOf, type LyingPose } from '../line-leads';
import type { Setting } from '../../setting';

// What is asked of a landing before a lock that does not stand open.

/** Slower than this the boat lies there, m/s. */
const LIES_MPS = 0.1;
/** The paddles stay at their half so long, s. Judgement. */
export const HALF_FOR_S = 60;
const FORE_AND_AFT = 0.15;
/** The gates swing that long at the most, s. */
export const WAITS_WITHIN_S = 240;
export const LANDING = ['landing bow line', 'landing stern line'] as const;

/** Is the water of a lock level with the boat's, and do its gates stand open to it? */
export function setAgainst({ begins }: SitedLock, from: End): 'level' | 'gates' | null {
  const level = from === 'upper' ? begins.upper : begins.lower;
  if (Math.abs(begins.chamber - level) > 0.02) return 'level';
  return begins.gates[from] < 1 ? 'gates' : null;
}

/** Bow and stern line to the landing the boat lies at, slipped from aboard; null where it does not lie at one. */
export function landingLines(setting: Setting): readonly LineDocument[] | null {
  const { start } = setting.input;
  return Math.abs(start.speed) > LIES_MPS ? null : linesToLanding(setting, start);
}

/** The same of any boat that lies so. */
export function linesToLanding(
  given: Pick<Setting, 'boat' | 'ends' | 'others' | 'length' | 'beam'>,
  start: LyingPose,
): readonly LineDocument[] | null {
  const setting = { ...given, ends: ashore(given) };
  const sides = (['port', 'starboard'] as const).flatMap((side) => {
    const lines = (['bow', 'quarter'] as const).flatMap((at) => {
      const cleat = `${side} ${at} cleat`;
      const wish = (at === 'bow' ? 1 : -1) * FORE_AND_AFT * setting.length;
      const lead = bestLead(leadsFrom(setting, start, cleat), wish);
      const name = LANDING[at === 'bow' ? 0 : 1];
      return lead ? [{ lead, line: lineOf(name, cleat, lead.length, lead.name, true) }] : [];
    });
    if (lines.length < 2) return [];
    return [{ lines, reach: lines.reduce((sum, { lead }) => sum + lead.length, 0) }];
  });
  if (sides.length === 0) return null;
  const nearest = sides.reduce((a, b) => (b.reach < a.reach ? b : a));
  return nearest.lines.map(({ line }) => line);
}
