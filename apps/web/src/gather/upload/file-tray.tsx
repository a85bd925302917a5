/** Files that were dropped, chosen, pasted or photographed: sent, seen, and then made materials. */
import type { NewMaterial } from '@hapset/contract';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { keptMaterials } from './kept-materials.js';
import { SentFiles } from './sent-files.js';
import { UploadList } from './upload-list.js';
import { useUploads } from './use-uploads.js';
import { t } from '../words.js';

interface Props {
  /** Chosen last; each list is sent once. */
  readonly files: readonly File[];
  /** What one of them becomes: "station", "material". */
  readonly noun: 'station' | 'material';
  readonly onAdd: (items: readonly NewMaterial[]) => Promise<unknown>;
  readonly onClose: () => void;
}

export function FileTray({ files, noun, onAdd, onClose }: Props): ReactElement {
  const uploads = useUploads();
  const [sending, setSending] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const [closing, setClosing] = useState(false);
  const taken = useRef<readonly File[] | null>(null);
  useEffect(() => {
    if (taken.current === files) return;
    taken.current = files;
    uploads.add(files);
  }, [files, uploads]);
  const kept = uploads.items.flatMap(({ file }) => file ?? []);
  const busy = uploads.items.filter(({ state }) => state !== 'done' && state !== 'failed').length;
  const pictures = kept.filter(({ media }) => media === 'picture');
  const add = (items: readonly NewMaterial[]): void => {
    setSending(true);
    onAdd(items)
      .then(() => {
        uploads.clear();
        onClose();
      })
      .catch((error: unknown) => setFailure(wordsFor(error)))
      .finally(() => setSending(false));
  };
  const discard = (): void => {
    for (const { key } of uploads.items) uploads.remove(key);
    onClose();
  };
  return (
    <div className="border-t border-line">
      {closing && <SentFiles files={kept} onClose={() => setClosing(false)} onDone={discard} />}
      <UploadList uploads={uploads} />
      <div className="flex flex-wrap items-center gap-2.5 border-t border-line px-4 py-2.5">
        <p role="status" className="m-0 min-w-40 flex-1 text-row text-muted">
          {failure ??
            (busy > 0
              ? t('fileTray.uploadingFilesTheyContinueAfter', { count: busy })
              : t('fileTray.filesUploaded', { count: kept.length }))}
        </p>
        <Button onClick={() => (kept.length > 0 ? setClosing(true) : discard())}>{t('fileTray.discard')}</Button>
        {pictures.length > 1 && pictures.length === kept.length && (
          <Button disabled={busy > 0 || sending} onClick={() => add(keptMaterials(kept, true))}>
            {t('fileTray.addAsOnePictureSet')}
          </Button>
        )}
        <Button
          tone="main"
          disabled={busy > 0 || sending || kept.length === 0}
          onClick={() => add(keptMaterials(kept, false))}
        >
          {kept.length <= 1 ? t('fileTray.add') : t(`fileTray.add-${noun}`, { count: kept.length })}
        </Button>
      </div>
    </div>
  );
}
