import type { CueDocument, ExpectationDocument, OrderDocument, SimpleCue } from '@/document';
import { handsText, LINE_STATE_WORDS } from './lines';
import { LOCK_CUE_WORDS } from './locks';
import { boatSpeed, distance, lengthIn, tidy, type Units } from './units';

const threeFigures = (degrees: number) => `${String(Math.round(degrees) % 360).padStart(3, '0')}°`;
const side = (degrees: number) => (degrees < 0 ? 'port' : 'starboard');

function simpleCueText(cue: SimpleCue, units: Units): string {
  switch (cue.is) {
    case 'start':
      return 'at the start';
    case 'after':
      return `${tidy(cue.time_s, 1)} s on`;
    case 'heading':
      return `heading ${threeFigures(cue.heading_deg)}`;
    case 'turned':
      return `turned ${tidy(Math.abs(cue.by_deg), 0)}° to ${side(cue.by_deg)}`;
    case 'speed':
      return `${cue.compare} ${boatSpeed(cue.speed_mps, units)}${cue.over === 'ground' ? ' over ground' : ''}`;
    case 'abeam':
      return `${cue.point} abreast of ${cue.mark}`;
    case 'within':
      return `${cue.point} ${tidy(lengthIn(cue.distance_m, units.length), 1)} ${units.length} off ${cue.mark}`;
    case 'stopped':
      return cue.boat === undefined ? 'stopped' : `${cue.boat} stopped`;
    case 'sternway':
      return 'sternway begun';
    case 'line':
      return `${cue.line} ${LINE_STATE_WORDS[cue.state]}`;
    case 'crew':
      return `${cue.who} ${cue.where}`;
    case 'lock':
      return `${cue.lock} ${LOCK_CUE_WORDS[cue.state]}`;
  }
}

/** A cue as a crew would hear it: "mast abreast of pile 4". */
export function cueText(cue: CueDocument, units: Units): string {
  if (cue.is !== 'any' && cue.is !== 'all') return simpleCueText(cue, units);
  return cue.of.map((part) => simpleCueText(part, units)).join(cue.is === 'any' ? ' or ' : ' and ');
}

export function wheelText(degrees: number): string {
  const angle = Math.round(Math.abs(degrees));
  return angle === 0 ? 'wheel amidships' : `wheel ${angle}° ${side(degrees)}`;
}

/** Throttle in words: idle, or a share. */
export function engineText(gear: 'ahead' | 'neutral' | 'astern', throttle: number): string {
  if (gear === 'neutral') return 'neutral';
  return throttle < 0.005 ? `${gear} idle` : `${gear} ${Math.round(throttle * 100)} %`;
}

export function thrusterText(thruster: string, power: number): string {
  const percent = Math.round(Math.abs(power) * 100);
  if (percent === 0) return `${thruster} off`;
  return `${thruster} to ${side(power)}${percent === 100 ? '' : ` ${percent} %`}`;
}

/** "joystick 60 % to port, bow to starboard 20 %"; let go when it asks for nothing. */
export function joystickText(ahead: number, sideways: number, twist: number): string {
  const part = (share: number, words: string) =>
    Math.abs(share) < 0.005 ? [] : [`${words} ${Math.round(Math.abs(share) * 100)} %`];
  const parts = [
    ...part(ahead, ahead < 0 ? 'astern' : 'ahead'),
    ...part(sideways, `to ${side(sideways)}`),
    ...part(twist, `bow to ${side(twist)}`),
  ];
  return parts.length > 0 ? `joystick ${parts.join(', ')}` : 'joystick let go';
}

export function orderText(order: OrderDocument): string {
  const late = order.after_s > 0 ? ` after ${tidy(order.after_s, 1)} s` : '';
  if (order.do === 'wheel') return wheelText(order.angle_deg) + late;
  if (order.do === 'steer') return `steer ${threeFigures(order.heading_deg)}${late}`;
  if (order.do === 'steerFor')
    return `${order.first === 'stern' ? 'stern' : 'steer'} for ${order.mark}${late}`;
  if (order.do === 'engine') {
    const which = order.engine === undefined ? '' : `${order.engine} `;
    return which + engineText(order.gear, order.throttle) + late;
  }
  if (order.do === 'thruster') return thrusterText(order.thruster, order.power) + late;
  if (order.do === 'joystick') return joystickText(order.ahead, order.sideways, order.twist) + late;
  if (order.do === 'call') return `“${order.text}”${late}`;
  if (order.do === 'signal') return `the sign to wind${late}`;
  if (order.do === 'other') {
    const steers =
      order.mark !== undefined
        ? `, steering for ${order.mark}`
        : order.heading_deg === undefined
          ? ''
          : `, steering ${threeFigures(order.heading_deg)}`;
    return `${order.boat}: ${engineText(order.gear, order.throttle)}${steers}${late}`;
  }
  return handsText(order) + late;
}

/** What the hands do at a step, calls left out: "neutral, wheel 25° starboard". */
export function ordersText(orders: readonly OrderDocument[]): string {
  const hands = orders.filter((order) => order.do !== 'call');
  return hands.length > 0 ? hands.map(orderText).join(', ') : 'nothing to do';
}

export function expectationText(e: ExpectationDocument, units: Units): string {
  const when = e.at === 'next' ? 'by the next step' : `after ${tidy(e.at.after_s, 1)} s`;
  switch (e.is) {
    case 'heading':
      return `heading ${threeFigures(e.heading_deg)} within ${tidy(e.within_deg, 0)}° ${when}`;
    case 'speed':
      return `${boatSpeed(e.least_mps, units)} to ${boatSpeed(e.most_mps, units)} ${when}`;
    case 'turning':
      return `turning to ${e.to} ${when}`;
    case 'clear':
      return `at least ${distance(e.least_m, units)} clear ${e.at === 'next' ? 'until the next step' : when}`;
    case 'line':
      return `${e.line} ${LINE_STATE_WORDS[e.state]} ${when}`;
    case 'near':
      return `${e.point} within ${distance(e.within_m, units)} of ${e.mark} ${when}`;
  }
}
