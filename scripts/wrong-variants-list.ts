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
    'rates[X] = u * sinPsi + v * cosPsi + environment.row[WATER.EAST]!;',
    'rates[X] = u * sinPsi + v * cosPsi + 2 * environment.row[WATER.EAST]!;',
  ),
  core(
    'sim/derivative.ts',
    'stream north as east',
    'rates[Y] = u * cosPsi - v * sinPsi + environment.row[WATER.NORTH]!;',
    'rates[Y] = u * cosPsi - v * sinPsi + environment.row[WATER.EAST]!;',
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
    'const y = force[1]! - r * (rigid * u + surgeAdded);',
    'const y = force[1]!;',
  ),
  core(
    'sim/derivative.ts',
    'Munk moment of the other sign',
    'const n = force[2]! - ur * swayAdded + vr * surgeAdded - u * moment;',
    'const n = force[2]! + ur * swayAdded - vr * surgeAdded - u * moment;',
  ),
  core(
    'sim/derivative.ts',
    'wind through the air turned wrongly',
    'work[WORK.SWAY] = v + east * cosPsi - north * sinPsi;',
    'work[WORK.SWAY] = v + east * cosPsi + north * sinPsi;',
  ),
  core(
    'sim/surroundings.ts',
    'wind named by where it goes',
    'environment.streamEast + speed * sin(from)',
    'environment.streamEast - speed * sin(from)',
  ),
  core(
    'sim/surroundings.ts',
    'wind taken over the water, not the ground',
    'share * (environment.streamEast + speed * sin(from))',
    'share * (speed * sin(from))',
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
  core('forces/cross-flow.ts', 'no lever in yaw', 'turn += xi * f;', 'turn += f;'),
  core(
    'forces/hull-resistance.ts',
    'resistance pushes her astern on',
    'const along = u > 0 ? -ahead : ahead * hull[HULL.ASTERN]!;',
    'const along = -ahead;',
  ),
  core(
    'forces/foil.ts',
    'lift along the drift',
    'lift * cosine + drag * sine',
    '-lift * cosine + drag * sine',
  ),
  core(
    'forces/rudder.ts',
    'rudder to the other side',
    'const own = density * (normal * cosDelta - chord * sinDelta);',
    'const own = density * (-normal * cosDelta - chord * sinDelta);',
  ),
  core(
    'forces/prop-walk.ts',
    'hand of the propeller forgotten',
    'd[at + DRIVE.HAND]! * share',
    'share',
  ),
  core(
    'forces/prop-walk.ts',
    'walk to the wrong side',
    'return d[at + DRIVE.HAND]!',
    'return -d[at + DRIVE.HAND]!',
  ),
  core(
    'forces/propeller.ts',
    'astern as strong as ahead',
    'rps >= 0 ? d[at + DRIVE.AHEAD_SQUARED]! : d[at + DRIVE.ASTERN_SQUARED]!',
    'rps >= 0 ? d[at + DRIVE.AHEAD_SQUARED]! : -d[at + DRIVE.ASTERN_SQUARED]!',
  ),
  core(
    'forces/propeller.ts',
    'trailing propeller drives',
    'driven - density * d[at + DRIVE.TRAILING]!',
    'driven + density * d[at + DRIVE.TRAILING]!',
  ),
  core(
    'forces/wind.ts',
    'wind force grows with its first power',
    'const pressure = -w[WORK.DENSITY]! * v;',
    'const pressure = -w[WORK.DENSITY]!;',
  ),
  core(
    'forces/wind.ts',
    'centre of wind shifts to leeward',
    'windage[WINDAGE.CENTRE]! + (windage',
    'windage[WINDAGE.CENTRE]! - (windage',
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
  core('sim/actuators.ts', 'wheel at once', 'const reach = rate * dt;', 'const reach = 10;'),
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
  core(
    'forces/cross-flow.ts',
    'sign of the cross flow not changed along her',
    'side -= 2 *',
    'side -= 0 *',
  ),
  core(
    'forces/hull-lift.ts',
    'lift before the middle astern too',
    '-hull[HULL.LIFT_ARM]!',
    'hull[HULL.LIFT_ARM]!',
  ),
  core(
    'sim/derivative.ts',
    'sway of the origin taken for that of the hull',
    'const across = v + hull[HULL.LIFT_CENTRE]! * r - s.streamV[middle]!;',
    'const across = v - s.streamV[middle]!;',
  ),
  core(
    'sim/derivative.ts',
    'stream along the hull not felt by its strips',
    'if (inField) addCrossFlowInField',
    'if (!inField) addCrossFlowInField',
  ),
  core(
    'forces/thruster.ts',
    'thruster to the other side',
    'force[1]! += push;',
    'force[1]! -= push;',
  ),
  core(
    'forces/thruster.ts',
    'thruster as strong under way',
    'return 1 / (1 + s * s);',
    'return 1 + 0 * s;',
  ),
  core(
    'forces/propeller.ts',
    'steered thrust to the other side',
    'const fy = walk * cosDelta - thrust * sinDelta;',
    'const fy = walk * cosDelta + thrust * sinDelta;',
  ),
  core(
    'holding/line.ts',
    'a rope that pushes',
    'return tension > 0 ? tension : 0;',
    'return tension;',
  ),
  core(
    'holding/line.ts',
    'stiffness per metre forgotten',
    '(stiffness * (stretched - length)) / length',
    'stiffness * (stretched - length)',
  ),
  core('holding/line.ts', 'a line without its lever', 'force[2]! += bx * fy - by * fx;', ''),
  core('control/allocate.ts', 'bounds not kept', 'if (over > excess) {', 'if (over > 1e99) {'),
  core(
    'locks/fill.ts',
    'chambers that never level',
    'return root > 0 ? root * root : 0;',
    'return root * root;',
  ),
  core(
    'water/level.ts',
    'drying heights the wrong way',
    'return charted + level - draught',
    'return level - charted - draught',
  ),
  core(
    'forces/derivative-ship.ts',
    'rudder of the ship to the other side',
    'force[1]! -= (1 + k.hullShare) * normal * cos(delta);',
    'force[1]! += (1 + k.hullShare) * normal * cos(delta);',
  ),
  core('craft/mass.ts', 'a moment of mass forgotten', 'mass * xG,\n    inertia', '0,\n    inertia'),
  core(
    'holding/between.ts',
    'what one boat does to another comes back to neither',
    'other[0]! -= ahead;',
    'other[0]! -= 0 * ahead;',
  ),
  core(
    'holding/between.ts',
    'what comes back acts at midships',
    'n + seen[GROUND.Y]! * starboard - seen[GROUND.X]! * ahead',
    'n',
  ),
];
