'use client';
import { usePlayhead } from '../state/playhead';
import type { Statement } from '../words/brief';
import { clock } from '../words/units';

/** What the core says, a line each; why, and the figures behind it, unfold. */
export function StatementList({ list }: { list: readonly Statement[] }) {
  const seek = usePlayhead((p) => p.seek);
  return (
    <ul>
      {list.map(({ key, text, why, figures, time, hurts }) => (
        <li key={key} className="rule-t">
          <details className="group">
            <summary
              className={`flex cursor-pointer list-none gap-2 py-1.5 hover:text-plan ${hurts ? 'font-semibold' : ''}`}
            >
              <span aria-hidden className={`w-3 shrink-0 ${hurts ? 'text-hurt' : 'text-quiet'}`}>
                {hurts ? '▲' : '+'}
              </span>
              <span>{text}</span>
            </summary>
            <div className="pb-2 pl-5 text-[13px]">
              <p className="text-quiet">{why}</p>
              {figures.length > 0 && (
                <dl className="figures mt-1 grid grid-cols-[auto_1fr] gap-x-3">
                  {figures.map(([name, value]) => (
                    <div key={name} className="contents">
                      <dt className="text-quiet">{name}</dt>
                      <dd>{value}</dd>
                    </div>
                  ))}
                </dl>
              )}
              {time !== null && (
                <button
                  type="button"
                  className="mt-1 text-plan underline"
                  onClick={() => seek(time)}
                >
                  show it at {clock(time)}
                </button>
              )}
            </div>
          </details>
        </li>
      ))}
    </ul>
  );
}
