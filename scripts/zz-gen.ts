import { writeFileSync } from 'node:fs';
import { drawnOwners, GENERATED_PATH } from '@/document/testing/generated';
import { check, ownerSchema, boatFromOwner } from '@/document';
const list = drawnOwners();
for (const d of list) {
  const c = check(ownerSchema, d.owner);
  if (!c.ok) {
    console.log(d.id, JSON.stringify(c.problems));
    continue;
  }
  boatFromOwner(c.value as never, { id: d.id, name: d.id, kind: 'k', note: '' });
}
writeFileSync(GENERATED_PATH, list.map((d) => JSON.stringify(d)).join('\n') + '\n');
console.log(list.length);
