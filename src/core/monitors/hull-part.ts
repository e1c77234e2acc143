/** Parts of a boat a person would name. */
export type HullPart =
  | 'bow'
  | 'port bow'
  | 'starboard bow'
  | 'port side'
  | 'starboard side'
  | 'port quarter'
  | 'starboard quarter'
  | 'stern';

/** The part of the hull at a body place (x forward of midships, y to starboard, m). */
export function hullPart(x: number, y: number, length: number, beam: number): HullPart {
  const along = x / length;
  const across = y / beam;
  const side = across < 0 ? 'port' : 'starboard';
  if (along > 0.42 && Math.abs(across) < 0.2) return 'bow';
  if (along < -0.42 && Math.abs(across) < 0.25) return 'stern';
  if (along > 0.2) return `${side} bow`;
  if (along < -0.25) return `${side} quarter`;
  return `${side} side`;
}
