/** Pages of the guide, by the names of their files in docs/guide, in the order they are read. */
export const GUIDE_PAGES = {
  'first-steps': 'First steps',
  'find-your-berth': 'Find your berth',
  'plan-a-manoeuvre': 'Plan a manoeuvre',
  rehearse: 'Rehearse',
  locks: 'Locks',
  'your-boat': 'Your boat',
  backups: 'Backups',
  words: 'Words',
  physics: 'How it is computed',
} as const;
export type GuidePage = keyof typeof GUIDE_PAGES;

export const isGuidePage = (name: string): name is GuidePage => Object.hasOwn(GUIDE_PAGES, name);

/** Where a page stands in the project. */
export const fileOf = (page: GuidePage): string =>
  page === 'physics' ? 'docs/physics.md' : `docs/guide/${page}.md`;

/** Where something a page refers to by its file is found in the app; null for what is not shipped with it. */
export function shippedAt(target: string): string | null {
  if (/^https?:/.test(target)) return null;
  if (target.startsWith('#')) return target;
  const picture = /(?:^|\/)screenshots\/([a-z-]+)\.png$/.exec(target);
  if (picture) return `/guide/pictures/${picture[1]}`;
  const page = /(?:^|\/)([a-z-]+)\.md$/.exec(target)?.[1];
  return page && isGuidePage(page) && !target.includes('decisions/') ? `/guide/${page}` : null;
}
