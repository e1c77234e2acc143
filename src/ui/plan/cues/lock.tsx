import { LOCK_CUE_WORDS } from '../../words/locks';
import { named, worded } from '../options';
import type { CueView, FieldsProps } from '../part-view';
import { RowChoice } from '../RowFields';
import { useNames } from '../use-names';

function Fields({ at }: FieldsProps) {
  const { locks } = useNames();
  if (locks.length === 0)
    return <span className="text-hurt">no lock is worked here: work one under The lock</span>;
  return (
    <>
      <RowChoice name={`${at}.lock`} label="Lock" options={named(locks.map(({ name }) => name))} />
      <RowChoice name={`${at}.state`} label="Is" options={worded(LOCK_CUE_WORDS)} />
    </>
  );
}

export const lock: CueView<'lock'> = {
  title: 'a lock is',
  fresh: { state: 'open below' },
  Fields,
  text: ({ lock: which, state }) => `${which} ${LOCK_CUE_WORDS[state]}`,
};
