import { HAS_WAY_MPS, STOPPED_MPS, STOPPED_RATE } from '../../policy';
import { groundSpeed, R } from '../../simulation';
import { boatOf } from '../measures';
import { cue } from './definition';

/** A boat has had way and has none. */
export const stopped = cue('stopped', {
  parameters: {
    /** The boat itself, or one of the others. */
    boat: { kind: 'boat', optional: 'nothing' },
  },
  arm(whose, armed, world) {
    let hadWay = groundSpeed(boatOf(armed, whose), world) > HAS_WAY_MPS;
    return {
      level: (s, w) => {
        const boat = boatOf(s, whose);
        const speed = groundSpeed(boat, w);
        if (speed > HAS_WAY_MPS) hadWay = true;
        if (!hadWay) return -1;
        return Math.min(STOPPED_MPS - speed, STOPPED_RATE - Math.abs(boat.motion[R]!));
      },
    };
  },
});
