import { writeFileSync } from 'node:fs';
import { FLEET, fleetBoat, fleetPath } from './fleet';

for (const berth of FLEET) {
  writeFileSync(fleetPath(berth.id), `${JSON.stringify(fleetBoat(berth), null, 2)}\n`);
}
