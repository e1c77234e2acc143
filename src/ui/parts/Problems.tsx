import type { Problem } from '@/document';

/** What is wrong, field by field. */
export function Problems({ problems, lead }: { problems: readonly Problem[]; lead: string }) {
  if (problems.length === 0) return null;
  return (
    <div role="alert" className="mt-3 max-w-xl border-l-4 border-hurt-fill pl-3">
      <p className="font-semibold text-hurt">{lead}</p>
      <ul>
        {problems.map(({ path, message }) => (
          <li key={path + message}>
            <span className="figures">{path}</span>: {message}
          </li>
        ))}
      </ul>
    </div>
  );
}
