import type { Progress } from '@/document';
import { LINK } from '../parts/AreaFrame';
import type { Work } from './use-work';

const DOING: Readonly<Record<Progress['doing'], string>> = {
  receiving: 'Sending the file to the server',
  checking: 'Checking it',
  'backing up': 'Backing up what is here first',
  'taking in': 'Importing it',
  writing: 'Writing the archive',
};

/** How far long work has come, with its Stop. */
export function Working({ work: { progress, stop } }: { work: Work }) {
  const share = progress?.share ?? null;
  return (
    <p className="flex flex-wrap items-center gap-3 pt-3">
      <span role="status">{progress ? DOING[progress.doing] : 'Working'} …</span>
      <progress
        aria-label="Share done"
        max={1}
        className="h-2 w-40"
        {...(share === null ? {} : { value: share })}
      />
      {share !== null && <span className="figures">{Math.floor(100 * share)} %</span>}
      {/* What the server does not tell of cannot be stopped either. */}
      {progress && (
        <button type="button" className={LINK} onClick={stop}>
          Stop
        </button>
      )}
    </p>
  );
}
