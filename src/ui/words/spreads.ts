import { TRIAL_SPREADS } from '@/core/policy';

/** "±25 %" */
export const spreadText = (of: keyof typeof TRIAL_SPREADS): string =>
  `±${Math.round(100 * TRIAL_SPREADS[of])} %`;
