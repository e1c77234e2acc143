import Link from 'next/link';
import Markdown from 'react-markdown';
import remarkGfm from 'remark-gfm';
import { AreaFrame } from '../parts/AreaFrame';
import { GUIDE_PAGES, shippedAt, type GuidePage } from './pages';

const pages = Object.entries(GUIDE_PAGES) as [GuidePage, string][];

/** A page of the guide, with the list of all of them beside it. */
export function Guide({ page, text }: { page: GuidePage; text: string }) {
  return (
    <AreaFrame area="guide">
      <div className="grid gap-x-12 gap-y-5 md:grid-cols-[180px_minmax(0,1fr)]">
        <nav aria-label="Guide">
          <ul className="flex flex-wrap gap-x-5 md:block">
            {pages.map(([name, title]) => (
              <li key={name}>
                <Link
                  href={`/guide/${name}`}
                  aria-current={name === page ? 'page' : undefined}
                  className={`inline-flex min-h-9 items-center hover:text-plan ${name === page ? 'font-bold' : ''}`}
                >
                  {title}
                </Link>
              </li>
            ))}
          </ul>
        </nav>
        <article className="guide min-w-0 max-w-[74ch] pb-10 text-[15.5px]">
          <Markdown
            remarkPlugins={[remarkGfm]}
            components={{
              a: ({ href = '', children }) => {
                const to = shippedAt(href);
                return to ? <Link href={to}>{children}</Link> : <span>{children}</span>;
              },
              img: ({ src, alt = '' }) => {
                const to = typeof src === 'string' ? shippedAt(src) : null;
                return to ? <img src={to} alt={alt} loading="lazy" /> : <span>{alt}</span>;
              },
            }}
          >
            {text}
          </Markdown>
        </article>
      </div>
    </AreaFrame>
  );
}
