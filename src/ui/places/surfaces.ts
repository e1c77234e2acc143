const SURFACES = ['usual', 'stone', 'timber', 'fendered', 'earth', 'hull'] as const;

/** What a face may be, as a choice: as such a thing mostly is, or otherwise. */
export const surfaceOptions = (kind: string) =>
  SURFACES.map((value) => ({
    value,
    text: value === 'usual' ? `as a ${kind} mostly is` : value,
  }));
