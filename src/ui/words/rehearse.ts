import type { StepDocument } from '@/document';
import type { HandedOver } from '../rehearse/live-state';

/** Who steers in a rehearsal, as it is offered. */
export const HELM_BY_WORDS = { you: 'you', app: 'the app, you watch' } as const;

/** "you for step 3, turn to port; the app for the rest" */
export function helmByStepWords({ title }: Pick<StepDocument, 'title'>, index: number): string {
  const step = title === '' ? `step ${index + 1}` : `step ${index + 1}, ${title}`;
  return `you for ${step}; the app for the rest`;
}

/** "The next step did not come in 45 s: up again. The helm is yours." */
export function handedOverWords({ after, note }: HandedOver): string {
  const what = note === '' ? '' : `: ${note}`;
  return `The next step did not come in ${Math.round(after)} s${what}. The helm is yours.`;
}
