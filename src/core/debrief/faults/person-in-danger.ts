import type { FaultRule } from './types';

/** Somebody stepped with a propeller turning near them. */
export const personInDanger: FaultRule<'person in danger'> = {
  id: 'person in danger',
  find({ run }) {
    return run.events.flatMap((event) =>
      event.is === 'crew' && event.what === 'in danger'
        ? [
            {
              rule: 'person in danger',
              time: event.time,
              until: event.time,
              figures: { who: event.who },
            },
          ]
        : [],
    );
  },
};
