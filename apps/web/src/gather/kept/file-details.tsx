import { keptLimits } from '@hapset/core';
import { routes, type KeptFileView, type MaterialView } from '@hapset/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { call } from '../../platform/api/client.js';
import { Button } from '../../platform/design/button.js';
import { ChooseFile } from '../../platform/design/choose-file.js';
import { TextArea } from '../../platform/design/field.js';
import { useNotice } from '../../platform/design/notice.js';
import { useChangeMaterial } from '../material/material.queries.js';
import { sendFile } from '../upload/upload-file.js';
import { bytes } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';

/** The words spoken, captions, and other bytes under the same address. */
export function FileDetails({
  material,
  kept,
}: {
  readonly material: MaterialView;
  readonly kept: KeptFileView;
}): ReactElement {
  const change = useChangeMaterial(material.id);
  const client = useQueryClient();
  const notice = useNotice();
  const [transcript, setTranscript] = useState(kept.transcript);
  const [sent, setSent] = useState<string | null>(null);
  const { file, captions } = kept;
  const spoken = file.media === 'sound' || file.media === 'film';
  const keep = (more: Partial<{ transcript: string; captionsId: string | null }>): void =>
    change.mutate(
      {
        version: material.version,
        kept: { kind: 'file', fileId: file.id, transcript, captionsId: captions?.id ?? null, ...more },
      },
      { onError: (error) => notice({ words: wordsFor(error) }) },
    );
  /** Sends a file; `then` gets its id as a kept file. */
  const send = (chosen: File, then: (fileId: string) => unknown): void => {
    const total = bytes(chosen.size);
    const sending = sendFile(
      chosen,
      chosen.name,
      (count) => setSent(`${bytes(count)} of ${total}`),
      () => setSent('Being prepared…'),
    );
    sending.done
      .then((made) => then(made.id))
      .catch((error: unknown) => notice({ words: wordsFor(error) }))
      .finally(() => setSent(null));
  };
  const replace = useMutation({
    mutationFn: ({ uploadId }: { uploadId: string }) =>
      call(routes.replaceFile, { params: { fileId: file.id }, body: { uploadId } }),
    onSuccess: () => notice({ words: 'Replaced. The code stays the same.' }),
    onError: (error) => notice({ words: wordsFor(error) }),
    onSettled: () => client.invalidateQueries(),
  });
  return (
    <div className="mt-2.5 flex flex-col gap-3">
      {spoken && (
        <>
          <TextArea
            label="The words spoken"
            hint="Shown under it, for whoever can’t hear or would rather read."
            rows={2}
            maxLength={keptLimits.transcriptLength}
            value={transcript}
            onChange={(event) => setTranscript(event.target.value)}
          />
          {transcript !== kept.transcript && (
            <div>
              <Button onClick={() => keep({ transcript })} disabled={change.isPending}>
                Keep the words
              </Button>
            </div>
          )}
        </>
      )}
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 text-row">
        <ChooseFile
          label="Replace it"
          onChoose={(chosen) => void replaceWith(chosen, setSent, notice, (uploadId) => replace.mutate({ uploadId }))}
        />
        {file.media === 'film' && (
          <ChooseFile
            label={captions ? 'Other captions' : 'Add captions (WebVTT)'}
            accept=".vtt,text/vtt"
            onChoose={(chosen) => send(chosen, (captionsId) => keep({ captionsId }))}
          />
        )}
        {captions && (
          <span className="flex items-center gap-2 text-muted">
            Captions: {captions.name}
            <button
              type="button"
              className="min-h-8 font-semibold text-ink underline"
              onClick={() => keep({ captionsId: null })}
            >
              Leave out
            </button>
          </span>
        )}
        {sent !== null && (
          <span role="status" className="text-muted">
            {sent}
          </span>
        )}
      </div>
    </div>
  );
}

/** The same address gets other bytes, so the upload itself is what is handed over. */
async function replaceWith(
  chosen: File,
  show: (words: string | null) => void,
  notice: ReturnType<typeof useNotice>,
  then: (uploadId: string) => void,
): Promise<void> {
  const { sendOnly } = await import('../upload/upload-file.js');
  try {
    then(await sendOnly(chosen, (count) => show(`${bytes(count)} of ${bytes(chosen.size)}`)));
  } catch (error) {
    notice({ words: wordsFor(error) });
  } finally {
    show(null);
  }
}
