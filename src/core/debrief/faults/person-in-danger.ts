import type { FaultRule } from './rule';

/** Somebody was where a propeller turned. */
interface Figures {
  readonly who: number;
}

/** Somebody stepped with a propeller turning near them. */
export const personInDanger: FaultRule<'person in danger', Figures> = {
  id: 'person in danger',
  find({ run }) {
    return run.events.flatMap((event) =>
      event.is === 'crew' && event.what === 'in danger'
        ? [
            {
              time: event.time,
              until: event.time,
              figures: { who: event.who },
            },
          ]
        : [],
    );
  },
};
