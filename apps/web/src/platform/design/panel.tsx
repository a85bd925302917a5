import { ChevronDown } from 'lucide';
import { Collapsible } from 'radix-ui';
import { useState, type ReactElement, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { Icon } from './icon.js';

interface Props {
  readonly title?: ReactNode;
  readonly aside?: ReactNode;
  readonly action?: ReactNode;
  readonly mark?: ReactNode;
  readonly children?: ReactNode;
}

const frame = 'rounded-sheet border border-line bg-sheet px-4 py-3.5 sm:px-5';

/** One part of a page: white on the paper colour, with a title. */
export function Panel({ title, aside, action, mark, children }: Props): ReactElement {
  return (
    <section className={frame}>
      {title && (
        <div className="mb-1.5 flex flex-wrap items-center gap-x-2.5 gap-y-1">
          <PanelTitle title={title} aside={aside} mark={mark} />
          {action && <span className="ml-auto flex flex-wrap justify-end gap-2">{action}</span>}
        </div>
      )}
      {children}
    </section>
  );
}

/**
 * A part that is folded to one line where nothing in it needs attention, and opens by itself when something does. What
 * is open stays open: nothing folds under somebody's eyes.
 * @param id its place in the address: `#id` opens it
 * @param name what it is called on its button
 */
export function FoldingPanel({
  id,
  name,
  calm,
  title,
  aside,
  action,
  mark,
  children,
}: Props & { readonly id: string; readonly name: string; readonly calm: boolean }): ReactElement {
  const { hash, key } = useLocation();
  const [chosen, setChosen] = useState<{ readonly open: boolean; readonly at: string } | null>(null);
  const [neededAttention, setNeededAttention] = useState(!calm);
  if (!calm && !neededAttention) setNeededAttention(true);
  // A choice holds until somebody is led here by a link.
  const open = chosen?.at === key ? chosen.open : hash === `#${id}` || neededAttention;
  return (
    <Collapsible.Root asChild open={open} onOpenChange={(next) => setChosen({ open: next, at: key })}>
      <section id={id} className={`${frame} scroll-mt-4 ${open ? '' : 'py-2'}`}>
        <div className={`flex flex-wrap items-center gap-x-2.5 gap-y-1 ${open ? 'mb-1.5' : ''}`}>
          <PanelTitle title={title} aside={aside} mark={mark} />
          <span className="ml-auto flex flex-wrap items-center justify-end gap-2">
            {open && action}
            <Collapsible.Trigger
              className="inline-flex size-8 items-center justify-center rounded-small text-muted hover:bg-ink/5 hover:text-ink"
              aria-label={`${open ? 'Hide' : 'Show'} ${name}`}
            >
              <Icon icon={ChevronDown} size={17} className={open ? 'rotate-180' : ''} />
            </Collapsible.Trigger>
          </span>
        </div>
        <Collapsible.Content>{children}</Collapsible.Content>
      </section>
    </Collapsible.Root>
  );
}

function PanelTitle({ title, aside, mark }: Pick<Props, 'title' | 'aside' | 'mark'>): ReactElement {
  return (
    <>
      <span className="flex min-w-0 items-center gap-2.5">
        {mark}
        <h2 className="m-0 text-panel leading-tight">{title}</h2>
      </span>
      {aside && <span className="text-small text-muted">{aside}</span>}
    </>
  );
}
