import { LockFields } from '../../locks/LockFields';
import { LengthBox } from '../../parts/LengthBox';
import { ring } from '../../plot/shapes';
import { depthText } from '../../words/depth';
import type { AreaFieldsProps, AreaView } from './view';

function Fields({ area, fleet, change }: AreaFieldsProps<'lock'>) {
  return (
    <>
      {!area.working && (
        <LengthBox
          label="depth on its cill at level 0"
          value={area.cill_m ?? 0}
          least={-15}
          most={500}
          onChange={(cill_m) => change({ cill_m })}
        />
      )}
      <p className="text-[13px] text-quiet">
        Its chamber: draw its walls as quays and its leaves as gates.
      </p>
      <LockFields
        name={area.name}
        outline={area.outline_m}
        working={area.working}
        fleet={fleet}
        change={(working) => change({ working })}
      />
    </>
  );
}

export const lock: AreaView<'lock'> = {
  words: 'lock',
  over: false,
  gist: true,
  draw: ({ outline_m }) => [ring(outline_m, { stroke: 'ink', width: 0.8, dash: [7, 3] })],
  label({ name, working, cill_m }, units) {
    // Where its gates are known, the lower cill is; what was told of it before does not count any longer.
    const depth = working ? -working.lowerCill_m : cill_m;
    return `${name}${depth === undefined ? '' : `, ${depthText(depth, units)} on the cill`}`;
  },
  fresh: () => ({}),
  Fields,
};
