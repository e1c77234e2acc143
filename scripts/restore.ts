import { existsSync } from 'node:fs';
import { request } from 'node:http';
import { join } from 'node:path';
import { dataDirectory, listBackups, databaseIn, openDatabase, troubleOf } from '@/db';
import { inspectBackup, makeReady, recover, restoreBackup, standingDamage } from '@/db/upkeep';

// Lists the backups of the data directory, or restores one: `npm run restore [-- NAME | -- new]`.

const directory = dataDirectory();
const demo = join(process.cwd(), 'demo');
const port = Number(process.env.YAWTROPE_PORT || 4780);

function stop(sentence: string): never {
  process.stderr.write(`${sentence}\n`);
  process.exit(2);
}

/** A server that runs on the same data would not see that its file was changed under it. */
function isServed(): Promise<boolean> {
  return new Promise((resolve) => {
    const asked = request({ host: '127.0.0.1', port, method: 'HEAD', timeout: 2000 }, () =>
      resolve(true),
    );
    asked.on('error', () => resolve(false));
    asked.on('timeout', () => resolve(true));
    asked.end();
  });
}

function list(): void {
  const damage = standingDamage(directory);
  if (damage)
    console.log(
      `The database ${damage.why}${damage.movedTo ? `; its files are in ${join(directory, damage.movedTo)}` : ''}.`,
    );
  const copies = listBackups(directory);
  if (copies.length === 0) return console.log(`There is no backup in ${directory}.`);
  console.log(`Backups in ${directory}:`);
  for (const { name, at, before } of copies) {
    const when = new Date(at).toISOString().slice(0, 19).replace('T', ' ');
    console.log(
      `  ${name}  ${when} UTC${before ? ', before something was replaced' : ''}: ${contents(name)}`,
    );
  }
  console.log('Restore one with: npm run restore -- NAME');
}

function contents(name: string): string {
  try {
    const { counts } = inspectBackup(directory, name);
    return `${counts.manoeuvres} manoeuvres, ${counts.runs} driven runs, ${counts.boats} boats, ${counts.places} places`;
  } catch (error) {
    return `cannot be restored: ${troubleOf(error)?.message ?? String(error)}`;
  }
}

async function restore(name: string): Promise<void> {
  if (await isServed())
    stop(
      `A server answers on port ${port}: restore there, or stop it first (YAWTROPE_PORT says which).`,
    );
  const wanted = name === 'new' ? null : name;
  if (existsSync(databaseIn(directory))) {
    if (wanted === null) stop('There is a library already; nothing was changed.');
    const db = openDatabase(databaseIn(directory));
    const before = await restoreBackup(db, directory, wanted, Date.now());
    db.$client.close();
    console.log(`Restored ${wanted}. What was there before is in ${before}.`);
  } else {
    await recover(directory, wanted, demo, Date.now());
    console.log(wanted ? `Restored ${wanted}.` : 'Begun anew, with the demo data.');
  }
}

async function main(): Promise<void> {
  const [name] = process.argv.slice(2);
  if (!existsSync(directory))
    stop(`There is no data directory '${directory}'; set YAWTROPE_DATA_DIR.`);
  // A damaged database is moved aside first, as at the start of a server.
  if (!(await isServed())) makeReady(directory, demo, Date.now());
  if (!name) return list();
  await restore(name);
}

main().catch((error: unknown) => {
  const trouble = troubleOf(error);
  stop(
    `Not restored: ${trouble?.message ?? (error instanceof Error ? error.message : String(error))}`,
  );
});
