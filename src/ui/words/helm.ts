/** Words for what is done at the helm, as it is told and as its controls say it. */

export const threeFigures = (degrees: number) =>
  `${String(Math.round(degrees) % 360).padStart(3, '0')}°`;
export const side = (degrees: number) => (degrees < 0 ? 'port' : 'starboard');

export function wheelText(degrees: number): string {
  const angle = Math.round(Math.abs(degrees));
  return angle === 0 ? 'wheel amidships' : `wheel ${angle}° ${side(degrees)}`;
}

export type GearName = 'ahead' | 'neutral' | 'astern';

/** A gear of the core by its name. */
export const gearName = (gear: -1 | 0 | 1): GearName =>
  gear > 0 ? 'ahead' : gear < 0 ? 'astern' : 'neutral';

/** Throttle in words: idle, or a share. */
export function engineText(gear: GearName, throttle: number): string {
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
