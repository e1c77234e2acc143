import type { End, SitedLock } from '@/core/locks';
import type { BeatDocument, CueDocument, OrderDocument } from '../score';
import type { LineDocument } from '../rigging';
import { beat, call } from './draft';
import { bestLead, leadsFrom, letGo, lineOf } from './line-leads';
import type { PassageLie } from './passage-lie';
import { gatesTo, paddlesAt, wound, type Hands } from './passage-water';
import type { Setting } from './setting';

// A lock that is set against her, or shut: she waits on her lines at the landing while it is made ready.

/** Slower than this she lies there, m/s. */
const LIES_MPS = 0.1;
/** Half of the paddles first, all of them so long after, s: the wash comes down on whoever waits below. Judgement. */
const HALF_FIRST = 0.5;
export const HALF_FOR_S = 60;
const MADE_WITHIN_S = 900;
/** The gates swing that long at the most, s. */
export const WAITS_WITHIN_S = 240;
const FORE_AND_AFT = 0.15;
const LANDING = ['landing bow line', 'landing stern line'] as const;

/** Is the water of a lock level with hers, and do its gates stand open to her? */
export function setAgainst({ begins }: SitedLock, from: End): 'level' | 'gates' | null {
  const level = from === 'upper' ? begins.upper : begins.lower;
  if (Math.abs(begins.chamber - level) > 0.02) return 'level';
  return begins.gates[from] < 1 ? 'gates' : null;
}

/** Bow and stern line to the landing she lies at, slipped from aboard; null where she does not lie at one. */
export function landingLines(setting: Setting): readonly LineDocument[] | null {
  const { start } = setting.input;
  if (Math.abs(start.speed) > LIES_MPS) return null;
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

/** The beats until its gates stand wide open to her and her lines are slipped, and the cue she goes by. */
export function waiting(
  lie: PassageLie,
  hands: Hands,
): { readonly beats: BeatDocument[]; readonly cue: CueDocument } {
  const { sited, from } = lie;
  const against = setAgainst(sited, from);
  const side = from === 'upper' ? 'above' : 'below';
  const paddles = paddlesAt(lie, from);
  const sign: OrderDocument[] = hands.ashore === undefined ? [] : [{ do: 'signal', after_s: 0 }];
  const ready = call('on bow and stern line; hands clear of them while the water comes');
  const way = 'paddles down; look to her lines';
  const opens = gatesTo(lie, from, 'open', hands);
  const beats =
    against === 'level'
      ? [
          beat(
            'wait',
            'on her lines: half of the paddles',
            { is: 'start' },
            [ready, ...sign, ...wound(lie, hands, paddles, HALF_FIRST)],
            way,
          ),
          beat(
            'wash',
            'lines hold: all of them',
            { is: 'after', seconds: HALF_FOR_S },
            [...sign, ...wound(lie, hands, paddles, 1)],
            way,
            MADE_WITHIN_S,
          ),
          beat(
            'made',
            'level: the gates to her',
            { is: 'lock', lock: sited.name, state: `level ${side}` },
            [opens],
            'wait on',
            MADE_WITHIN_S,
          ),
        ]
      : [beat('wait', 'on her lines: the gates open', { is: 'start' }, [ready, opens], 'wait on')];
  const slip = beat(
    'slip',
    'wide open: both lines slipped from aboard',
    { is: 'lock', lock: sited.name, state: `wide ${side}` },
    [
      ...LANDING.map((line) => letGo(line, 0, hands.aboard)),
      ...wound(lie, hands, against === 'level' ? paddles : [], 0),
    ],
    'make fast again',
    WAITS_WITHIN_S,
  );
  return {
    beats: [...beats, slip],
    cue: { is: 'all', of: LANDING.map((line) => ({ is: 'line', line, state: 'off' })) },
  };
}
