import Markdown, { type Components } from 'react-markdown';
import remarkGfm from 'remark-gfm';
import { Link, NavLink, useParams } from 'react-router';
import { cx } from '../../parts/ui/cx';
import { useTitle } from '../../parts/ui/title';
import { GUIDE_PAGES, guideLink, guidePicture } from './pages';

const LOOK: Components = {
  h2: ({ children }) => <h2 className="mt-6 mb-1 text-xl">{children}</h2>,
  p: ({ children }) => <p className="my-2">{children}</p>,
  ul: ({ children }) => <ul className="my-2 grid list-disc gap-1 pl-6">{children}</ul>,
  ol: ({ children }) => <ol className="my-2 grid list-decimal gap-1 pl-6">{children}</ol>,
  code: ({ children }) => (
    <code className="border border-hair bg-paper px-1 font-mono text-[0.92em] break-words">{children}</code>
  ),
  table: ({ children }) => (
    <div className="overflow-x-auto">
      <table className="my-3 w-full border-collapse text-left">{children}</table>
    </div>
  ),
  th: ({ children }) => <th className="border-b border-ink py-1 pr-4 font-semibold">{children}</th>,
  td: ({ children }) => <td className="border-b border-hair py-1.5 pr-4 align-top">{children}</td>,
  a: ({ href = '', children }) => {
    const to = guideLink(href);
    // What lies in the docs alone is named, and leads nowhere from here.
    return to ? (
      <Link to={to} className="underline decoration-hair decoration-2 underline-offset-4 hover:decoration-live">
        {children}
      </Link>
    ) : (
      <>{children}</>
    );
  },
  img: ({ src, alt }) => {
    const shot = typeof src === 'string' && src.endsWith('.png');
    return (
      <img
        src={typeof src === 'string' ? guidePicture(src) : undefined}
        alt={alt ?? ''}
        loading="lazy"
        {...(shot ? { width: 1280, height: 800 } : { width: 396, height: 198 })}
        className={cx('my-3 h-auto border border-hair', shot ? 'w-full' : 'w-full max-w-[396px]')}
      />
    );
  },
};

/** The guide: one task a page, in words and in the app's own drawings. */
export function GuidePage() {
  const { page } = useParams();
  const at = Math.max(
    0,
    GUIDE_PAGES.findIndex(({ id }) => id === page),
  );
  const shown = GUIDE_PAGES[at];
  const next = GUIDE_PAGES[at + 1];
  useTitle(`Guide: ${shown?.title ?? ''}`);
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[250px_minmax(0,1fr)]">
      <nav aria-label="Guide" className="border-hair px-3 py-4 max-lg:border-b lg:border-r">
        <ul className="grid max-lg:grid-cols-2">
          {GUIDE_PAGES.map(({ id, title }, index) => (
            <li key={id}>
              <NavLink
                to={`/guide/${id}`}
                aria-current={index === at ? 'page' : undefined}
                className={cx('flex min-h-11 items-center px-2 leading-tight', index === at ? 'font-semibold' : '')}
              >
                <span className={index === at ? 'border-b-3 border-live' : ''}>{title}</span>
              </NavLink>
            </li>
          ))}
        </ul>
      </nav>
      <article className="max-w-3xl bg-sheet px-5 py-5 text-[17px] leading-relaxed lg:px-8" key={shown?.id}>
        <h1 className="text-[30px] leading-tight font-bold">{shown?.title}</h1>
        <Markdown remarkPlugins={[remarkGfm]} components={LOOK}>
          {shown?.text}
        </Markdown>
        {next && (
          <p className="mt-6 border-t border-ink pt-2">
            Next:{' '}
            <Link
              to={`/guide/${next.id}`}
              className="inline-flex min-h-11 items-center underline decoration-2 underline-offset-4"
            >
              {next.title}
            </Link>
          </p>
        )}
      </article>
    </div>
  );
}
