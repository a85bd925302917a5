import { ChevronDown } from 'lucide';
import { Collapsible } from 'radix-ui';
import { useState, type ReactElement, type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { Icon } from './icon.js';
import { t } from '../language/words.js';

interface Props {
  readonly title?: ReactNode;
  readonly aside?: ReactNode;
  readonly action?: ReactNode;
  readonly mark?: ReactNode;
  readonly children?: ReactNode;
}

const frame = 'rounded-sheet border border-line bg-sheet px-4 sm:px-5';

/** One part of a page: white on the paper colour, with a title. */
export function Panel({ title, aside, action, mark, children }: Props): ReactElement {
  return (
    <section className={`${frame} py-3.5`}>
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
  const [open, setOpen] = useUnfolded(id, calm);
  return (
    <Collapsible.Root asChild open={open} onOpenChange={setOpen}>
      <section id={id} className={`${frame} scroll-mt-4 ${open ? 'py-3.5' : 'py-2'}`}>
        <div
          className={`flex items-center gap-x-2.5 gap-y-1 ${open ? 'mb-1.5 flex-wrap' : 'cursor-pointer'}`}
          // All of the line is the button's, for a mouse; the button is there for everybody.
          onClick={() => !open && setOpen(true)}
        >
          <PanelTitle title={title} aside={aside} mark={mark} inLine={!open} />
          <span className={`ml-auto flex flex-wrap items-center justify-end gap-2 ${open ? '' : 'shrink-0'}`}>
            {open && action}
            <Collapsible.Trigger
              onClick={(event) => event.stopPropagation()}
              className="inline-flex size-8 items-center justify-center rounded-small text-muted hover:bg-ink/5 hover:text-ink"
              aria-label={t(open ? 'panel.hide' : 'panel.show', { name })}
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

/** Whether it is open, and how to change that. */
function useUnfolded(id: string, calm: boolean): readonly [boolean, (open: boolean) => void] {
  const { hash, key } = useLocation();
  const ledHere = hash === `#${id}`;
  const [wasOpened, setWasOpened] = useState(!calm || ledHere);
  if ((!calm || ledHere) && !wasOpened) setWasOpened(true);
  const [chosen, setChosen] = useState<{ readonly open: boolean; readonly at: string } | null>(null);
  // A choice holds until somebody is led here by a link.
  if (ledHere && chosen !== null && chosen.at !== key) setChosen(null);
  return [chosen?.open ?? wasOpened, (open) => setChosen({ open, at: key })];
}

/** @param inLine on one line: what is beside the title gives way on narrow screens */
function PanelTitle({
  title,
  aside,
  mark,
  inLine = false,
}: Pick<Props, 'title' | 'aside' | 'mark'> & { readonly inLine?: boolean }): ReactElement {
  return (
    <>
      <span className="flex min-w-0 items-center gap-2.5">
        {mark}
        <h2 className="m-0 text-panel leading-tight">{title}</h2>
      </span>
      {aside && (
        <span className={`text-small text-muted ${inLine ? 'hidden min-w-0 truncate sm:block' : ''}`}>{aside}</span>
      )}
    </>
  );
}
