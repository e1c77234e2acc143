import type { Area } from '@/document';
import { boatSpeed, distance, type Units } from './units';

/** A charted depth as it is written on the water: what dries says so. */
export function depthText(depth_m: number, units: Units): string {
  return depth_m < 0 ? `dries ${distance(-depth_m, units)}` : distance(depth_m, units);
}

/** What stands on the water for an area. */
/** @param stands level of the water over it, over the place's nought: a pound's above a lock */
export function areaText(area: Area, units: Units, stands = 0): string {
  switch (area.kind) {
    case 'depth':
      return depthText(area.depth_m + stands, units);
    case 'bridge': {
      const at = area.level_m === 0 ? '' : ` at level ${distance(area.level_m, units)}`;
      return `${distance(area.clearance_m, units)} under it${at}`;
    }
    case 'zone':
      return area.rule === 'keep out'
        ? `${area.name}: keep out`
        : `${area.name}: no wash, ${boatSpeed(area.most_mps, units)}`;
    case 'lock': {
      // Where its gates are known, the lower cill is; what was told of it before does not count any longer.
      const depth = area.working ? -area.working.lowerCill_m : area.cill_m;
      return `${area.name}${depth === undefined ? '' : `, ${depthText(depth, units)} on the cill`}`;
    }
    case 'trees':
      return area.name;
  }
}
