import { STEP_UP_M } from '@/core/policy';
import { line } from '../../plot/shapes';
import { useUnits } from '../../state/preferences';
import { distance } from '../../words/units';
import { spotted } from './view';

/** Rungs one over the other, px. */
const RUNGS_PX = [-4, 0, 4];
const HALF_PX = 3.5;

function Fields() {
  const units = useUnits();
  return (
    <p className="w-full text-[13px] text-quiet">
      From the top of a face to below the water. What stands more than {distance(STEP_UP_M, units)}{' '}
      over a deck is climbed by one, within a step of the side.
    </p>
  );
}

export const ladder = spotted<'ladder'>(
  'ladder',
  ({ x_m: x, y_m: y }, { px }) =>
    RUNGS_PX.map((up) =>
      line(
        [
          [x - HALF_PX * px, y + up * px],
          [x + HALF_PX * px, y + up * px],
        ],
        { stroke: 'ink', width: 1.6 },
      ),
    ),
  { Fields },
);
