import {
  check,
  nameAboard,
  othersSchema,
  success,
  type Manoeuvre,
  type Other,
  type Result,
} from '@/document';

type Parts = Pick<Manoeuvre, 'others' | 'plan' | 'goal' | 'berth'>;

type Change = (text: string, key: string) => string;

/** A value with every string changed by `change`, whatever it is nested in; told the key it stands under. */
function mapped<T>(value: T, change: Change, key = ''): T {
  if (typeof value === 'string') return change(value, key) as T;
  if (Array.isArray(value)) return value.map((part: unknown) => mapped(part, change, key)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([at, part]) => [at, mapped(part as unknown, change, at)]),
  ) as T;
}

/** Keys under which a plan names one of the other boats itself: orders and cues, and whose line it is. */
const NAMES_HER = new Set(['boat', 'of']);

/** Does a text of a plan name a boat, or a point of it? */
const namesHer = (name: string): ((text: string, key: string) => boolean) => {
  const aboard = nameAboard({ name }, '');
  return (text, key) => text.startsWith(aboard) || (NAMES_HER.has(key) && text === name);
};

/** Another boat called otherwise, wherever a line, a cue, an order or the goal names it or a point of it. */
export function otherRenamed(
  { others, plan, goal }: Parts,
  index: number,
  to: string,
): Result<Pick<Manoeuvre, 'others' | 'plan' | 'goal'>> {
  const renamed = check(
    othersSchema,
    others.map((other, i) => (i === index ? { ...other, name: to } : other)),
  );
  if (!renamed.ok) return renamed;
  const was = others[index]!.name;
  const name = renamed.value[index]!.name;
  const names = namesHer(was);
  const change: Change = (text, key) =>
    names(text, key) ? `${name}${text.slice(was.length)}` : text;
  return success({
    others: renamed.value,
    plan: mapped(plan, change),
    goal: mapped(goal, change),
  });
}

/** What names another boat or a point of it, in words; null for nothing. */
export function otherUsed({ others, plan, goal, berth }: Parts, index: number): string | null {
  const { name, id }: Other = others[index]!;
  const her = namesHer(name);
  const names = (value: unknown): boolean => {
    let found = false;
    mapped(value, (text, key) => {
      found ||= her(text, key);
      return text;
    });
    return found;
  };
  const line = plan.lines.find(names);
  if (line) return `The ${line.name}`;
  const step = plan.steps.findIndex(names);
  if (step >= 0) return `Step ${step + 1}`;
  if (names(plan.end) || names(goal)) return 'The end';
  return berth.includes(id) ? 'What the boat lies against' : null;
}
