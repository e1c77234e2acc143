import { listBackups } from '@/db';
import { isDue } from '@/db/upkeep';
import { runJob } from '@/jobs';

/** Looked at this often whether a copy is due, ms. */
const LOOK_MS = 10 * 60_000;
/** Not while the server is still coming up. */
const FIRST_MS = 5_000;

async function backUpIfDue(directory: string): Promise<void> {
  if (!isDue(listBackups(directory), Date.now())) return;
  try {
    await runJob('backUp', { directory, reason: 'regular' });
  } catch (error) {
    // A server that cannot copy still serves; what is wrong with the disk is said where it is looked for.
    console.error('No backup of the library could be made:', error);
  }
}

/** Copies the library every hour as long as the server runs. Returns what ends that. */
export function keepBackups(directory: string): () => void {
  const look = () => void backUpIfDue(directory);
  const first = setTimeout(look, FIRST_MS).unref();
  const again = setInterval(look, LOOK_MS).unref();
  return () => {
    clearTimeout(first);
    clearInterval(again);
  };
}
