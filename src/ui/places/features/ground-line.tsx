import { LengthBox } from '../../parts/LengthBox';
import { Choice } from '../../parts/Choice';
import { line, type XY } from '../../plot/shapes';
import { spotted, type FieldsProps } from './view';

const ARM_PX = 3.5;
const PAINT = { stroke: 'shore', width: 1 } as const;

const Fields = ({ feature, place, change }: FieldsProps<'groundLine'>) => (
  <>
    <LengthBox
      label="depth at its weight"
      value={feature.depth_m}
      least={0.5}
      most={60}
      onChange={(depth_m) => change({ depth_m })}
    />
    <span>
      <span className="text-[13px] text-quiet">tail tied to </span>
      <Choice
        label="Its tail is tied to"
        value={feature.tail}
        options={place.features.flatMap((f) =>
          f.kind === 'bollard' ? [{ value: f.name, text: f.name }] : [],
        )}
        onChange={(tail) => change({ tail })}
      />
    </span>
  </>
);

/** From its weight to the bollard its tail is tied to: under the water, so only hinted at. */
export const groundLine = spotted<'groundLine'>(
  'ground line',
  ({ x_m: x, y_m: y, tail }, { px, all }) => {
    const tied = all.find((f) => f.kind === 'bollard' && f.name === tail);
    const arm = ARM_PX * px;
    const cross = (way: 1 | -1): XY[] => [
      [x - arm, y - way * arm],
      [x + arm, y + way * arm],
    ];
    const led: XY[] =
      tied?.kind === 'bollard'
        ? [
            [x, y],
            [tied.x_m, tied.y_m],
          ]
        : [];
    return [
      ...(led.length > 0 ? [line(led, { ...PAINT, dash: [2, 5] })] : []),
      line(cross(1), PAINT),
      line(cross(-1), PAINT),
    ];
  },
  {
    inPictures: true,
    fresh({ features }) {
      const tail = features.find(({ kind }) => kind === 'bollard')?.name;
      return tail
        ? { depth_m: 4, tail }
        : { why: 'a ground line is tied to a bollard; put one first' };
    },
    Fields,
  },
);
