import type { Take } from '@/core/score';
import { degrees } from '../fields';
import type { ExpectationDocument, ScoreDocument } from '../score';
import { compassOf } from './draft';

/** How far off a helm may find her and still be in it: heading, and speed as a share and in m/s. Judgement. */
const HEADING_DEG = 12;
const SPEED_SHARE = 0.35;
const SPEED_MPS = 0.25;

const hundredth = (value: number) => Math.round(value * 100) / 100;

/**
 * The score with what its own take shows at each beat's end written down as what to expect: heading and speed. Beats
 * counted out in seconds are too short to look at anything.
 */
export function withExpectations(score: ScoreDocument, take: Take): ScoreDocument {
  const { time, heading, groundSpeed } = take.trace;
  const beats = score.beats.map((beat, i) => {
    const next = take.beats.find((mark) => mark.beat === i + 1);
    if (!next || score.beats[i + 1]?.cue.is === 'after') return beat;
    const at = time.findIndex((t) => t >= next.time - 1e-9);
    const speed = groundSpeed[at < 0 ? time.length - 1 : at]!;
    const psi = heading[at < 0 ? time.length - 1 : at]!;
    const slack = Math.max(SPEED_MPS, SPEED_SHARE * speed);
    const expect: ExpectationDocument[] = [
      { is: 'heading', at: 'next', heading_deg: compassOf(degrees(psi)), within_deg: HEADING_DEG },
      {
        is: 'speed',
        at: 'next',
        over: 'ground',
        least_mps: hundredth(Math.max(0, speed - slack)),
        most_mps: hundredth(speed + slack),
      },
    ];
    return { ...beat, expect };
  });
  return { ...score, beats };
}
