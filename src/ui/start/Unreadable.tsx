import Link from 'next/link';
import type { Problem } from '@/document';

/** What is kept cannot be read: say what and where, and leave it untouched. */
export function Unreadable({ problems }: { problems: readonly Problem[] }) {
  return (
    <main className="mx-auto max-w-2xl p-10">
      <h1 className="text-[22px] font-bold">This cannot be read</h1>
      <p className="py-3">It is kept as it is; nothing has been changed. What is wrong with it:</p>
      <ul className="rule-t">
        {problems.map(({ path, message }) => (
          <li key={path + message} className="rule-b py-2">
            <span className="figures font-semibold">{path}</span>: {message}
          </li>
        ))}
      </ul>
      <Link href="/" className="mt-4 inline-block text-plan underline underline-offset-3">
        Back to the start
      </Link>
    </main>
  );
}
