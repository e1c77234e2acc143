import { wrapTurn } from '@/core/math';
import { isDoneBy, type ControlOrder, type CrewOrder, type RunEvent } from '@/core/plan';
import { degrees } from './fields';
import type { PlanDocument } from './plan';

export const headingOf = (psi: number) => degrees(wrapTurn(psi));

const percent = (share: number) => `${Math.round(share * 100)} %`;

function controlText(order: ControlOrder): string {
  switch (order.do) {
    case 'wheel':
      return `wheel ${degrees(order.angle).toFixed(0)}°`;
    case 'steer':
      return `steer ${headingOf(order.heading).toFixed(0)}°`;
    case 'steerFor':
      return `${order.first === 'stern' ? 'stern' : 'steer'} for ${order.mark.name}`;
    case 'call':
      return `call: ${order.text}`;
    case 'signal':
      return 'signal: wind';
    case 'other': {
      const gear = order.gear > 0 ? 'ahead' : order.gear < 0 ? 'astern' : 'neutral';
      return `other boat ${order.boat}: ${gear}, throttle ${percent(order.throttle)}`;
    }
    case 'thruster': {
      const side = order.power < 0 ? 'port' : 'starboard';
      return order.power === 0
        ? 'thruster off'
        : `thruster ${side} ${percent(Math.abs(order.power))}`;
    }
    case 'joystick':
      return `joystick: ahead ${percent(order.ahead)}, starboard ${percent(order.sideways)}, twist ${percent(order.twist)}`;
    case 'engine': {
      const gear = order.gear > 0 ? 'ahead' : order.gear < 0 ? 'astern' : 'neutral';
      const which = order.engine === null ? '' : `engine ${order.engine + 1} `;
      return `${which}${gear}, throttle ${percent(order.throttle)}`;
    }
  }
}

function handsText(order: CrewOrder, { lines, crew }: PlanDocument): string {
  const who = order.by === null ? '' : `${crew[order.by]?.name ?? ''}: `;
  const line = 'line' in order ? (lines[order.line]?.name ?? '') : '';
  switch (order.do) {
    case 'pass':
      return `${who}${order.how} ${line} to ${order.to.name}`;
    case 'tend':
      return `${who}${order.how} ${line}`;
    case 'letGo':
      return `${who}let go ${line}`;
    case 'anchor':
      return `${who}${order.how} ${line}`;
    case 'paddle':
      return `${who}paddle ${order.paddle + 1} to ${percent(order.to)}`;
    case 'gates':
      return `${who}${order.end} gates ${order.leaf === 'both' ? '' : `${order.leaf} `}${order.to}`;
    case 'stepAshore':
      return `${who}step ashore, to ${order.mark.name}`;
    case 'stepAboard':
      return `${who}step aboard ${order.point.name}`;
    case 'go':
      return `${who}go ${order.point.name}`;
  }
}

/** An event of a run in words, for files and the command line. */
export function eventText(event: RunEvent, plan: PlanDocument): string {
  switch (event.is) {
    case 'order':
      return isDoneBy(event.order, 'crew')
        ? handsText(event.order, plan)
        : controlText(event.order);
    case 'expectation failed':
      return `expected ${event.expectation.is}, found ${event.found.toFixed(3)}`;
    case 'cue never came':
      return `waited ${event.waited.toFixed(1)} s`;
    case 'line':
      return `${plan.lines[event.line]?.name ?? ''} ${event.what}`;
    case 'lock':
      return event.seconds === undefined
        ? event.what
        : `${event.what}, ${event.seconds.toFixed(0)} s left`;
    case 'crew':
      return `${plan.crew[event.who]?.name ?? ''} ${event.what}`;
    default:
      return '';
  }
}
