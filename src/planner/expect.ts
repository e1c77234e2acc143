import type { Run } from '@/core/plan';
import { EXPECTED_HEADING_DEG, EXPECTED_SPEED_SHARE, EXPECTED_SPEED_MPS } from '@/core/policy';
import { degrees } from '@/document/fields';
import type { ExpectationDocument, PlanDocument } from '@/document/plan';
import { compassOf } from './template';

const hundredth = (value: number) => Math.round(value * 100) / 100;

/**
 * The plan with what its own run shows at each step's end written down as what to expect: heading and speed. Steps
 * counted out in seconds are too short to look at anything.
 */
export function withExpectations(plan: PlanDocument, run: Run): PlanDocument {
  const { time, heading, groundSpeed } = run.trace;
  const steps = plan.steps.map((step, i) => {
    const next = run.steps.find((mark) => mark.step === i + 1);
    if (!next || plan.steps[i + 1]?.cue.is === 'after') return step;
    const at = time.findIndex((t) => t >= next.time - 1e-9);
    const speed = groundSpeed[at < 0 ? time.length - 1 : at]!;
    const psi = heading[at < 0 ? time.length - 1 : at]!;
    const slack = Math.max(EXPECTED_SPEED_MPS, EXPECTED_SPEED_SHARE * speed);
    const expect: ExpectationDocument[] = [
      {
        is: 'heading',
        at: 'next',
        heading_deg: compassOf(degrees(psi)),
        within_deg: EXPECTED_HEADING_DEG,
      },
      {
        is: 'speed',
        at: 'next',
        over: 'ground',
        least_mps: hundredth(Math.max(0, speed - slack)),
        most_mps: hundredth(speed + slack),
      },
    ];
    return { ...step, expect };
  });
  return { ...plan, steps };
}
