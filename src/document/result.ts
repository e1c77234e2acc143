import type { z } from 'zod';

/** One thing wrong with what was given: where, and what to do about it. */
export interface Problem {
  /** Path of the field, such as `plan.steps[2].orders[0].angle_deg`. */
  readonly path: string;
  readonly message: string;
}

/** An expected failure is a value. */
export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly Problem[] };

export function success<T>(value: T): Result<T> {
  return { ok: true, value };
}

export function failure(...problems: readonly Problem[]): Result<never> {
  return { ok: false, problems };
}

/** `['plan', 'steps', 2]` as `plan.steps[2]`. */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, key) =>
      typeof key === 'number' ? `${text}[${key}]` : text ? `${text}.${String(key)}` : String(key),
    '',
  );
}

const MOST_PROBLEMS = 20;

/** Checks a value against a schema; problems carry the path and the schema's own words. */
export function check<T>(schema: z.ZodType<T>, value: unknown): Result<T> {
  const parsed = schema.safeParse(value);
  if (parsed.success) return success(parsed.data);
  return failure(
    ...parsed.error.issues.slice(0, MOST_PROBLEMS).map((issue) => ({
      path: pathText(issue.path) || '(file)',
      message: issue.message,
    })),
  );
}

/** Problems as lines for a terminal or a message. */
export function problemLines(problems: readonly Problem[]): string {
  return problems.map(({ path, message }) => `${path}: ${message}`).join('\n');
}
