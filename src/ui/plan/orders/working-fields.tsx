import { useWorkspace } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { named } from '../options';
import type { ValuesAt } from '../part-view';
import { RowChoice, RowMark, RowNumber } from '../RowFields';
import { useNames } from '../use-names';

/** Where the boat is to be brought: a point of it by a mark, on a heading. @param mark what the mark is called */
export function LieFields({ at, mark }: { at: ValuesAt; mark: string }) {
  const { marks, points } = useNames();
  const units = useUnits();
  return (
    <>
      <RowChoice name={`${at}.point`} label="Point of the boat" options={named(points)} />
      <RowNumber name={`${at}.within`} label="No further off than" unit={units.length} width={52} />
      <span>off</span>
      <RowMark name={`${at}.mark`} label={mark} options={named(marks)} />
      <span>heading</span>
      <RowNumber name={`${at}.heading`} label="Heading to lie on" unit="°" width={46} />
      <span>within</span>
      <RowNumber name={`${at}.headingWithin`} label="Heading within" unit="°" width={46} />
    </>
  );
}

const GEARS = [
  { value: 'no', text: 'throttle as needed' },
  { value: 'yes', text: 'gears alone' },
];
const THRUSTERS = [
  { value: 'no', text: 'without thrusters' },
  { value: 'yes', text: 'thrusters too' },
];

/** How the boat is worked on the spot: by its gears alone or not, with thrusters or not. */
export function SpotFields({ at }: { at: ValuesAt }) {
  const hasThruster = useWorkspace((s) => s.boat.thrusters.length > 0);
  return (
    <>
      <RowChoice name={`${at}.idle`} label="Throttle" options={GEARS} />
      {hasThruster && <RowChoice name={`${at}.thrusters`} label="Thrusters" options={THRUSTERS} />}
    </>
  );
}

/** By what it is done, as it is told: nothing where that is the usual. */
export const spotText = ({
  idle,
  thrusters,
}: {
  readonly idle?: boolean | undefined;
  readonly thrusters?: boolean | undefined;
}): string => `${idle ? ', gears alone' : ''}${thrusters ? ', thruster too' : ''}`;

/** How the boat is worked there: how fast at the most, by its gears alone or not, with thrusters or not. */
export function MannerFields({ at }: { at: ValuesAt }) {
  const units = useUnits();
  return (
    <>
      <span>no faster than</span>
      <RowNumber name={`${at}.most`} label="Way at the most" unit={units.speed} width={46} />
      <SpotFields at={at} />
    </>
  );
}
