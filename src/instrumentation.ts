/** Run once as the server starts: copies of the database are kept from then on. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { keepBackups, library } = await import('@/db');
  try {
    keepBackups(library(), Date.now);
  } catch (error) {
    // A server that cannot copy still serves; what is wrong with the disk is said where it is looked for.
    console.error('No copy of the database could be made:', error);
  }
}
