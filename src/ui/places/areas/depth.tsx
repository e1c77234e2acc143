import { LengthBox } from '../../parts/LengthBox';
import { line, ring } from '../../plot/shapes';
import { depthText } from '../../words/depth';
import { hatching } from '../hatching';
import type { AreaFieldsProps, AreaView } from './view';

/** Strokes across what dries lie so far apart, m. */
const HATCH_M = 2.2;

function Fields({ area, change }: AreaFieldsProps<'depth'>) {
  return (
    <>
      <LengthBox
        label="depth at level 0"
        value={area.depth_m}
        least={-15}
        most={500}
        onChange={(depth_m) => change({ depth_m })}
      />
      <p className="text-[13px] text-quiet">
        Negative where it dries: the bottom then stands that far over level 0. Spot depths put
        inside count instead of this figure.
      </p>
    </>
  );
}

export const depth: AreaView<'depth'> = {
  words: 'depth area',
  over: false,
  draw({ outline_m, depth_m }, stands) {
    const edge = { stroke: 'shore', width: 0.8 } as const;
    if (depth_m + stands >= 0) return [ring(outline_m, { ...edge, dash: [1, 4] })];
    const strokes = hatching(outline_m, HATCH_M).map(([ax, ay, bx, by]) =>
      line(
        [
          [ax, ay],
          [bx, by],
        ],
        { stroke: 'shore', width: 0.6, opacity: 0.7 },
      ),
    );
    return [ring(outline_m, edge), ...strokes];
  },
  label: ({ depth_m }, units, stands) => depthText(depth_m + stands, units),
  fresh: () => ({ depth_m: 2 }),
  Fields,
};
