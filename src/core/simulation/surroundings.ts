import { placeShelteringBoats } from './boat-shelter';
import { shelterShare } from '../air';
import { GAPS, SHALLOW, shallowFactors } from '../forces';
import { cos, sin } from '../math';
import { soundKeel, sounded } from './aground';
import { sideGaps, windAt } from './environment';
import { senseWash } from './wash-now';
import { senseLocks } from './locks-now';
import { PSI, X, Y } from './state';
import { AIR, CLOCK, UNDER, type Scratch } from './scratch';
import type { Vessel } from './vessel';
import type { World } from './world';

/** Shelter is looked at on the fore, middle and aft third of the boat, this share of its length apart. */
const THIRD = 1 / 3;

function lookForShelter(motion: Float64Array, world: World, s: Scratch): number {
  const { environment, craft } = world;
  const { air } = s;
  const from = s.wind[0]!;
  const east = -sin(from);
  const north = -cos(from);
  const reach = THIRD * craft.spec.hull.length;
  const psi = motion[PSI]!;
  const dx = reach * sin(psi);
  const dy = reach * cos(psi);
  const x = motion[X]!;
  const y = motion[Y]!;
  const share = (k: number) =>
    shelterShare(s.windbreaks, x + k * dx, y + k * dy, east, north, environment.windHeight);
  const aft = share(-1);
  const middle = share(0);
  const fore = share(1);
  const mean = (aft + middle + fore) / 3;
  air[AIR.MEAN_SQUARE] =
    mean > 0 ? (aft * aft + middle * middle + fore * fore) / (3 * mean * mean) : 1;
  air[AIR.DIFFERENCE] = mean > 0 ? (fore * fore - aft * aft) / (3 * mean * mean) : 0;
  return mean;
}

/** Wind at the three stages of the step, over the moving water, shelter counted. */
function setAir(motion: Float64Array, vessel: Vessel): void {
  const { world, scratch: s } = vessel;
  const { environment } = world;
  const { air } = s;
  const sheltered = s.windbreaks.length > 0;
  const fixed = environment.steadyWind && !sheltered;
  if (fixed && air[AIR.KNOWN] === 1) return;
  air[AIR.KNOWN] = 1;
  const time = s.clock[CLOCK.TIME]!;
  const dt = s.clock[CLOCK.STEP]!;
  windAt(s.wind, environment, time);
  let share = environment.windShare;
  if (sheltered) {
    if (environment.boatsShelter) placeShelteringBoats(vessel);
    share *= lookForShelter(motion, world, s);
  }
  for (let k = 0; k < 3; k++) {
    if (k > 0 && !environment.steadyWind) windAt(s.wind, environment, time + (k * dt) / 2);
    const speed = s.wind[1]!;
    const from = s.wind[0]!;
    air[2 * k] = share * (environment.currentEast + speed * sin(from));
    air[2 * k + 1] = share * (environment.currentNorth + speed * cos(from));
    if (environment.steadyWind) {
      air[2] = air[4] = air[0]!;
      air[3] = air[5] = air[1]!;
      return;
    }
  }
}

/**
 * What surrounds the boat during the step that begins now: wind with gusts, veer and shelter, depth,
 * gaps to walls. Held over the step but for the wind, which is taken at each stage.
 */
export function senseSurroundings(motion: Float64Array, vessel: Vessel): void {
  const { world, scratch: s } = vessel;
  const { environment, craft } = world;
  setAir(motion, vessel);
  const { hull } = craft.spec;
  if (world.gates) senseLocks(motion, vessel);
  const known = sounded(environment) || world.gates !== undefined;
  if (known) {
    soundKeel(motion, vessel);
    shallowFactors(s.shallow, hull.draught, s.under[UNDER.DEPTH]!);
  }
  if (environment.wash?.screws) senseWash(motion, vessel);
  if (environment.confined) {
    const psi = motion[PSI]!;
    sideGaps(s.gaps, world.obstacles, motion[X]!, motion[Y]!, sin(psi), cos(psi), hull.beam / 2);
    if (known) s.shallow[SHALLOW.RESISTANCE]! *= blockageFactor(world, s);
  }
}

/** Fullness of the midship section under water. */
const SECTION_FULLNESS = 0.9;
const MOST_BLOCKAGE = 0.7;

/** Water squeezed past the boat in a channel flows 1/(1 − m) as fast, and drags with the square of it. */
function blockageFactor({ craft }: World, s: Scratch): number {
  const { beam, draught } = craft.spec.hull;
  const width = s.gaps[GAPS.PORT]! + s.gaps[GAPS.STARBOARD]! + beam;
  if (!(width < Infinity)) return 1;
  const channel = Math.max(width, beam) * Math.max(s.under[UNDER.DEPTH]!, 0.1);
  const blockage = Math.min(MOST_BLOCKAGE, (SECTION_FULLNESS * beam * draught) / channel);
  return 1 / ((1 - blockage) * (1 - blockage));
}
