import { LengthBox } from '../../parts/LengthBox';
import { Tick } from '../../parts/Tick';
import { ring } from '../../plot/shapes';
import { distance } from '../../words/units';
import type { AreaFieldsProps, AreaView } from './view';

function Fields({ area, change }: AreaFieldsProps<'bridge'>) {
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-1">
      <LengthBox
        label="room under it"
        value={area.clearance_m}
        least={0.5}
        most={100}
        onChange={(clearance_m) => change({ clearance_m })}
      />
      <LengthBox
        label="at level"
        value={area.level_m}
        least={-20}
        most={20}
        onChange={(level_m) => change({ level_m })}
      />
      <Tick checked={area.footway} onChange={(footway) => change({ footway })}>
        people walk over it
      </Tick>
      <p className="w-full text-[13px] text-quiet">
        As its board or the plan tells it. Its piers are quays or piles of their own. Crew round a
        lock cross by shut gates and by bridges that reach from one side to the other.
      </p>
    </div>
  );
}

export const bridge: AreaView<'bridge'> = {
  words: 'bridge',
  over: true,
  gist: true,
  draw: ({ outline_m }) => [
    ring(outline_m, { fill: 'float', stroke: 'ink', width: 1.4, opacity: 0.75 }),
  ],
  label({ clearance_m, level_m }, units) {
    const at = level_m === 0 ? '' : ` at level ${distance(level_m, units)}`;
    return `${distance(clearance_m, units)} under it${at}`;
  },
  fresh: () => ({ clearance_m: 4, level_m: 0, footway: true }),
  Fields,
};
