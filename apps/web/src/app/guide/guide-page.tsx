/** The guide of docs/guide, one page a task, beside the work: its pages come with the application. */
import { useEffect, type ReactElement } from 'react';
import Markdown, { type Components } from 'react-markdown';
import { Link, useParams } from 'react-router';
import { NotFoundPage } from '../shell/trouble-pages.js';
import { t } from '../words.js';

const files = import.meta.glob<string>('../../../../../docs/guide/*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
});
const pages = new Map(
  Object.entries(files).map(([path, text]) => [path.split('/').at(-1)?.replace('.md', '') ?? '', text]),
);

const components: Components = {
  // Other documents are for whoever looks after the server; they are where its files are.
  a: ({ href = '', children }) =>
    href.startsWith('../') ? (
      <span>{children}</span>
    ) : (
      <Link to={`/guide/${href.replace('.md', '')}`} className="font-semibold underline">
        {children}
      </Link>
    ),
  h1: ({ children }) => <h1 className="mt-0 mb-4 text-page">{children}</h1>,
  h2: ({ children }) => <h2 className="mt-6 mb-2 text-part">{children}</h2>,
  ol: ({ children }) => <ol className="m-0 flex list-decimal flex-col gap-3 pl-6 text-panel">{children}</ol>,
  p: ({ children }) => <p className="mt-0 mb-3 text-panel">{children}</p>,
  code: ({ children }) => <code className="rounded-fine bg-paper px-1 font-mono text-row break-words">{children}</code>,
};

export function GuidePage(): ReactElement {
  const { page = 'README' } = useParams();
  const text = pages.get(page);
  const title = /^# (.*)$/m.exec(text ?? '')?.[1] ?? '';
  useEffect(() => {
    document.title = title === '' ? 'Hapset' : `${title} · Hapset`;
  }, [title]);
  if (text === undefined) return <NotFoundPage />;
  return (
    <article className="mx-auto max-w-[43rem] rounded-sheet border border-line bg-sheet px-5 py-5 sm:px-8 sm:py-7">
      {page !== 'README' && (
        <p className="mt-0 mb-3 text-small">
          <Link to="/guide" className="underline">
            {t('guidePage.allTasks')}
          </Link>
        </p>
      )}
      <Markdown components={components}>{text}</Markdown>
    </article>
  );
}
