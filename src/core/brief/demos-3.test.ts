import { DEMO_MANOEUVRES } from '@/document/testing/demo';
import { testBriefOf } from '@/document/testing/demo-briefs';
import { mirrored } from '../testing/manoeuvre';

// A quarter of the demos: all of them in one file keep the other workers waiting.
const ids = DEMO_MANOEUVRES.filter((_, i) => i % 4 === 2);

describe.each(ids)('the brief for %s', (id) => testBriefOf(id, mirrored));
