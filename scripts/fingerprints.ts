import { writeFileSync } from 'node:fs';
import { DEMO_MANOEUVRES, demoFile, FINGERPRINTS } from '@/document/testing/demo';
import { fingerprintsOf } from '@/document/testing/demo-runs';

// Writes down what every demo's run comes to, to the last bit. To be run only when a run is meant to change, and what
// changed told with the change.

const all = Object.fromEntries(DEMO_MANOEUVRES.map((id) => [id, fingerprintsOf(demoFile(id))]));
writeFileSync(FINGERPRINTS, `${JSON.stringify(all, null, 2)}\n`);
