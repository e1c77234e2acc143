/** What a drive is doing: being opened in its worker, or as the person at the helm has it. */
export type LiveStatus = 'opening' | 'ready' | 'running' | 'paused' | 'over' | 'refused';

/**
 * What may follow what. Opening follows everything: the worker may end at any time, and a drive may be begun again from any
 * moment; a paused drive is one that has gone on at least a step.
 */
const MAY_FOLLOW: Readonly<Record<LiveStatus, readonly LiveStatus[]>> = {
  /** Opened at its beginning, or where a recording stands; it may be found to be over there, or not to be playable. */
  opening: ['opening', 'ready', 'paused', 'over', 'refused'],
  ready: ['opening', 'running', 'refused'],
  /** Stopped by hand, at its end, or because what was ordered could not be worked out. */
  running: ['opening', 'paused', 'over', 'refused'],
  /** Goes on, or is ended by hand; a step passed on may end it as well. */
  paused: ['opening', 'running', 'over', 'refused'],
  over: ['opening'],
  refused: ['opening'],
};

export const mayFollow = (now: LiveStatus, next: LiveStatus): boolean =>
  MAY_FOLLOW[now].includes(next);

/** Is there a drive that goes on, or would? */
export const isUnderWay = (status: LiveStatus): boolean =>
  status === 'running' || status === 'paused';
