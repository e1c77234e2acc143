import { DEMO_MANOEUVRES } from '@/document/testing/demo';
import { testBriefOf } from '@/document/testing/demo-briefs';
import { mirrored } from '../testing/manoeuvre';
import { chosen } from '../testing/sweep';

// A shaft, outdrives, an outboard, lines in a wind, a current: what a brief says of each is what trying shows. Locks, which take ten times as long,
// are briefed in locks-ahead.test and swept here.
const ids = chosen(DEMO_MANOEUVRES, [
  'off-stilt-pontoon',
  'crosswind-slip',
  'stern-to-before-supper',
  'glide-to-the-steps',
]);

describe.each(ids)('the brief for %s', (id) => testBriefOf(id, mirrored));
