import {
  check,
  nameAboard,
  othersSchema,
  success,
  type Manoeuvre,
  type Other,
  type Result,
} from '@/document';

type Parts = Pick<Manoeuvre, 'others' | 'score' | 'goal' | 'berth'>;

/** A value with every string changed by `change`, whatever it is nested in. */
function mapped<T>(value: T, change: (text: string) => string): T {
  if (typeof value === 'string') return change(value) as T;
  if (Array.isArray(value)) return value.map((part: unknown) => mapped(part, change)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, part]) => [key, mapped(part as unknown, change)]),
  ) as T;
}

/** Another boat called otherwise, wherever a line, a cue, an order or the goal names her or a point of hers. */
export function otherRenamed(
  { others, score, goal }: Parts,
  index: number,
  to: string,
): Result<Pick<Manoeuvre, 'others' | 'score' | 'goal'>> {
  const renamed = check(
    othersSchema,
    others.map((other, i) => (i === index ? { ...other, name: to } : other)),
  );
  if (!renamed.ok) return renamed;
  const was = others[index]!.name;
  const name = renamed.value[index]!.name;
  const aboard = nameAboard({ name: was }, '');
  const change = (text: string) =>
    text.startsWith(aboard) ? nameAboard({ name }, text.slice(aboard.length)) : text;
  return success({
    others: renamed.value,
    score: {
      ...mapped(score, change),
      lines: mapped(score.lines, change).map((line) =>
        line.of === was ? { ...line, of: name } : line,
      ),
    },
    goal: mapped(goal, change),
  });
}

/** What names another boat or a point of hers, in words; null for nothing. */
export function otherUsed({ others, score, goal, berth }: Parts, index: number): string | null {
  const { name, id }: Other = others[index]!;
  const aboard = nameAboard({ name }, '');
  const names = (value: unknown): boolean => {
    let found = false;
    mapped(value, (text) => {
      found ||= text.startsWith(aboard);
      return text;
    });
    return found;
  };
  const line = score.lines.find((one) => one.of === name || names(one));
  if (line) return `The ${line.name}`;
  const beat = score.beats.findIndex(names);
  if (beat >= 0) return `Beat ${beat + 1}`;
  if (names(score.end) || names(goal)) return 'The end';
  return berth.includes(id) ? 'What she lies against' : null;
}
