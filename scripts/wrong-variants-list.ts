/** A deliberate mistake in the core: in `file` the one `find` becomes `put`. Every one must be caught by some test. */
export interface WrongVariant {
  readonly name: string;
  readonly file: string;
  readonly find: string;
  readonly put: string;
}

const core = (file: string, name: string, find: string, put: string): WrongVariant => ({
  name,
  file: `src/core/${file}`,
  find,
  put,
});

export const WRONG_VARIANTS: readonly WrongVariant[] = [
  core(
    'sim/derivative.ts',
    'stream counted twice',
    'rates[X] = u * sinPsi + v * cosPsi + environment.streamEast;',
    'rates[X] = u * sinPsi + v * cosPsi + 2 * environment.streamEast;',
  ),
  core(
    'sim/derivative.ts',
    'stream north as east',
    'rates[Y] = u * cosPsi - v * sinPsi + environment.streamNorth;',
    'rates[Y] = u * cosPsi - v * sinPsi + environment.streamEast;',
  ),
  core(
    'sim/derivative.ts',
    'sway carries her to port',
    'rates[X] = u * sinPsi + v * cosPsi',
    'rates[X] = u * sinPsi - v * cosPsi',
  ),
  core('sim/derivative.ts', 'turns the other way', 'rates[PSI] = r;', 'rates[PSI] = -r;'),
  core(
    'sim/derivative.ts',
    'Coriolis term in sway left out',
    'const y = force[1]! - r * mass.c11 * u;',
    'const y = force[1]!;',
  ),
  core(
    'sim/derivative.ts',
    'Munk moment of the other sign',
    'const n = force[2]! - u * swayMomentum + v * mass.c11 * u;',
    'const n = force[2]! + u * swayMomentum - v * mass.c11 * u;',
  ),
  core(
    'sim/derivative.ts',
    'wind through the air turned wrongly',
    'v + environment.slipEast * cosPsi - environment.slipNorth * sinPsi,',
    'v + environment.slipEast * cosPsi + environment.slipNorth * sinPsi,',
  ),
  core(
    'sim/environment.ts',
    'wind named by where it goes',
    'const windEast = -weather.windSpeed',
    'const windEast = weather.windSpeed',
  ),
  core(
    'sim/environment.ts',
    'wind taken over the water, not the ground',
    'slipEast: share * (streamEast - windEast),',
    'slipEast: share * -windEast,',
  ),
  core(
    'craft/mass.ts',
    'added mass in sway left out',
    'mass + sway,\n    mass * xG,',
    'mass,\n    mass * xG,',
  ),
  core(
    'craft/mass.ts',
    'Munk factor on the moment alone is lost',
    'const swayKept = surge + hull.munkFactor * (sway - surge);',
    'const swayKept = surge;',
  ),
  core(
    'forces/cross-flow.ts',
    'drag without its sign',
    'halfDragArea[i]! * w * Math.abs(w)',
    'halfDragArea[i]! * w * w',
  ),
  core('forces/cross-flow.ts', 'no lever in yaw', 'turn += x[i]! * f;', 'turn += f;'),
  core(
    'forces/hull-resistance.ts',
    'resistance pushes her astern on',
    'return u > 0 ? -total : total * hull.asternFactor;',
    'return -total;',
  ),
  core(
    'forces/foil.ts',
    'lift along the drift',
    '-halfAreaSpeed2 * (lift * cosine',
    '-halfAreaSpeed2 * (-lift * cosine',
  ),
  core(
    'forces/rudder.ts',
    'rudder to the other side',
    'const fy = density * (normal * cosDelta - chord * sinDelta);',
    'const fy = density * (-normal * cosDelta - chord * sinDelta);',
  ),
  core('forces/prop-walk.ts', 'hand of the propeller forgotten', 'shaft.hand * share', 'share'),
  core(
    'forces/prop-walk.ts',
    'walk to the wrong side',
    'const side = shaft.hand',
    'const side = -shaft.hand',
  ),
  core(
    'forces/propeller.ts',
    'astern as strong as ahead',
    'rps >= 0 ? shaft.aheadSquared : shaft.asternSquared',
    'rps >= 0 ? shaft.aheadSquared : -shaft.asternSquared',
  ),
  core(
    'forces/propeller.ts',
    'trailing propeller drives',
    '- density * shaft.trailing * va',
    '+ density * shaft.trailing * va',
  ),
  core(
    'forces/wind.ts',
    'wind force grows with its first power',
    'const half = -0.5 * airDensity * v;',
    'const half = -0.5 * airDensity;',
  ),
  core(
    'forces/wind.ts',
    'centre of wind shifts to leeward',
    'windage.centreX + (windage.centreShift',
    'windage.centreX - (windage.centreShift',
  ),
  core(
    'forces/race.ts',
    'no race from rest',
    'const far = signedRoot(va * Math.abs(va) + (2',
    'const far = signedRoot(va * Math.abs(va) + (0',
  ),
  core('holding/touch-law.ts', 'a sticky touch', 'return force > 0 ? force : 0;', 'return force;'),
  core(
    'holding/touch-law.ts',
    'friction that drives',
    'return (-coefficient * normal * slip) / scale;',
    'return (coefficient * normal * slip) / scale;',
  ),
  core(
    'holding/touch-law.ts',
    'touches that give back more than they take',
    'const force = staticForce * (1 + loss * approach);',
    'const force = staticForce * (1 - loss * approach);',
  ),
  core(
    'holding/touch.ts',
    'touch without its lever',
    'force[2]! += x * fy - y * fx;',
    'force[2]! += 0;',
  ),
  core(
    'sim/step.ts',
    'first-order step',
    '(h / 6) * (k1[i]! + 2 * k2[i]! + 2 * k3[i]! + k4[i]!)',
    'h * k1[i]!',
  ),
  core(
    'sim/actuators.ts',
    'no neutral pause',
    'const reversing = engine.lastDriven === -gear;',
    'const reversing = false;',
  ),
  core(
    'sim/actuators.ts',
    'wheel at once',
    'const reach = craft.spec.steering.rate * dt;',
    'const reach = 10;',
  ),
  core(
    'score/gates.ts',
    'heading cue at the opposite heading',
    'return Math.abs(now) > Math.PI / 2 ? -Math.abs(now) : -side * now;',
    'return -side * now;',
  ),
  core(
    'score/run.ts',
    'cues rounded to a step',
    'if (level >= 0) this.findCue(dt, levelBefore, level);',
    'void levelBefore;',
  ),
  core('score/run.ts', 'hard touches forgiven', "if (hard) return 'hard touch';", ''),
  core(
    'score/player.ts',
    'old orders kept beside the new',
    'this.due = this.queue(beat.orders);',
    'this.due = [...this.due, ...this.queue(beat.orders)];',
  ),
];
