const so = (count: number, one: string) => `${count} ${one}${count === 1 ? '' : 's'}`;

/** What is drawn of a place, in a few words. */
export const holds = (things: number, berths: number) =>
  `${so(things, 'object')}, ${so(berths, 'berth')}`;
