/**
 * What is done to a library as a whole: by the server as it starts, by jobs and by scripts; never by a route, whose
 * thread answers requests.
 */
export { Incomings } from './archive';
export { archiveEntries } from './archive-entries';
export { backUp, backupFile, inspectBackup } from './copying';
export { makeReady, recover, standingDamage, type Damage } from './ready';
export { restoreBackup } from './restore';
export { isDue, spent, type Backup } from './rotation';
export { sweepTexts } from './texts';
