/** A deliberate mistake: in `file` the one `find` becomes `put`. Every one must be caught by some test. */
export interface WrongVariant {
  readonly name: string;
  readonly file: string;
  readonly find: string;
  readonly put: string;
}

/** One in the core, its file told from there. */
export const core = (file: string, name: string, find: string, put: string): WrongVariant => ({
  name,
  file: `src/core/${file}`,
  find,
  put,
});
