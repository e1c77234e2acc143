import type { Conditions } from '@/document';
import { boatSpeed, compassPoint, distance, windSpeed, type Units } from './units';

const threeFigures = (degrees: number) => `${String(Math.round(degrees) % 360).padStart(3, '0')}°`;

/** "12 kn from 240° WSW" */
export const windText = ({ from_deg, speed_mps }: Conditions['wind'], units: Units): string =>
  speed_mps > 0
    ? `${windSpeed(speed_mps, units)} from ${threeFigures(from_deg)} ${compassPoint(from_deg)}`
    : 'no wind';

/** "1.2 kn to 090° E" */
export const currentText = ({ set_deg, speed_mps }: Conditions['current'], units: Units): string =>
  speed_mps > 0
    ? `${boatSpeed(speed_mps, units)} to ${threeFigures(set_deg)} ${compassPoint(set_deg)}`
    : 'no current';

/** Wind with its gusts, current, and the level as it begins: what it was rehearsed in. */
export function weatherText({ wind, current, level }: Conditions, units: Units): string {
  const { gusts } = wind;
  const gusty =
    gusts && wind.speed_mps > 0 ? `, gusts of ± ${Math.round(100 * gusts.intensity)} %` : '';
  const from = level?.[0];
  const stands = from
    ? `; level ${from.level_m < 0 ? '−' : ''}${distance(Math.abs(from.level_m), units)}`
    : '';
  const flows = current.speed_mps > 0 ? `Current ${currentText(current, units)}` : 'No current';
  const blows = wind.speed_mps > 0 ? `Wind ${windText(wind, units)}${gusty}` : 'No wind';
  return `${blows}. ${flows}${stands}.`;
}
