const DAY = new Intl.DateTimeFormat([], { day: 'numeric', month: 'short' });
const EXACT = new Intl.DateTimeFormat([], {
  hour: '2-digit',
  minute: '2-digit',
  second: '2-digit',
});
const TIME = new Intl.DateTimeFormat([], { hour: '2-digit', minute: '2-digit' });

/** A moment of the clock as the user's own place writes it, to the minute. */
export const dayAndTime = (at: number) => `${DAY.format(at)} ${TIME.format(at)}`;

/** The same to the second, where two may lie within a minute. */
export const dayAndExactTime = (at: number) => `${DAY.format(at)} ${EXACT.format(at)}`;
