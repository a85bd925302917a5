import { X } from 'lucide';
import type { ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { bytes } from '../../platform/wording/figures.js';
import type { UploadItem, Uploads } from './use-uploads.js';
import { Icon } from '../../platform/design/icon.js';
import { t } from '../words.js';

/** Each file with how far it is; a stopped one leaves nothing behind. */
export function UploadList({ uploads }: { readonly uploads: Uploads }): ReactElement {
  return (
    <ul aria-label={t('uploadList.uploads')} className="m-0 list-none p-0">
      {uploads.items.map((item) => (
        <li key={item.key} className="flex items-center gap-3 border-b border-line px-4 py-2.5 last:border-b-0">
          <Thumb item={item} />
          <div className="min-w-0 flex-1">
            <p className="m-0 truncate text-body font-semibold">{item.source.name}</p>
            <Progress item={item} />
          </div>
          {item.state === 'failed' && (
            <Button onClick={() => uploads.retry(item.key)}>{t('uploadList.tryAgain')}</Button>
          )}
          {item.state !== 'preparing' && (
            <button
              type="button"
              aria-label={`${item.state === 'done' ? t('uploadList.remove') : t('uploadList.stop')} ${item.source.name}`}
              onClick={() => uploads.remove(item.key)}
              className="inline-flex size-9 shrink-0 items-center justify-center rounded-small text-muted hover:bg-ink/5 hover:text-ink"
            >
              <Icon icon={X} size={16} />
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}

function Thumb({ item: { file, state } }: { readonly item: UploadItem }): ReactElement {
  if (file?.media === 'picture')
    return <img src={`${file.address}/w640`} alt="" className="size-10 shrink-0 rounded-fine object-cover" />;
  const [mark, words] = {
    waiting: ['not-yet', t('uploadList.waiting')],
    sending: ['not-yet', t('uploadList.uploading')],
    preparing: ['not-yet', t('uploadList.preparing')],
    done: ['done', t('uploadList.saved')],
    failed: ['stop', t('uploadList.notSaved')],
  }[state] as ['not-yet' | 'done' | 'stop', string];
  return (
    <span className="flex size-10 shrink-0 items-center justify-center">
      <StateMark mark={mark} words={words} />
    </span>
  );
}

function Progress({ item: { state, sentBytes, source, problem, file } }: { readonly item: UploadItem }): ReactElement {
  if (state === 'failed') {
    return (
      <p role="alert" className="m-0 text-small text-stop">
        {problem}
      </p>
    );
  }
  if (state === 'done')
    return (
      <p className="m-0 text-small text-muted">
        {t('uploadList.uploaded', { bytes: bytes(file?.sizeBytes ?? source.size) })}
      </p>
    );
  if (state === 'preparing') return <p className="m-0 text-small text-muted">{t('uploadList.preparingForStudents')}</p>;
  const part = source.size === 0 ? 0 : sentBytes / source.size;
  return (
    <div className="flex items-center gap-3">
      <div
        role="progressbar"
        aria-label={t('uploadList.uploading2', { name: source.name })}
        aria-valuenow={Math.round(part * 100)}
        aria-valuemin={0}
        aria-valuemax={100}
        className="h-2 flex-1 overflow-hidden rounded-full bg-line"
      >
        <div className="h-full rounded-full bg-ink" style={{ width: `${part * 100}%` }} />
      </div>
      <span className="shrink-0 text-note text-muted">
        {state === 'waiting'
          ? t('uploadList.waiting2')
          : t('uploadList.of', { sent: bytes(sentBytes), size: bytes(source.size) })}
      </span>
    </div>
  );
}
