import { keptLimits } from '@hapset/core';
import { routes, type KeptFileView, type MaterialView, type ReplaceFile } from '@hapset/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { call } from '../../platform/api/client.js';
import { Button, TextButton } from '../../platform/design/button.js';
import { ChooseFile } from '../../platform/design/choose-file.js';
import { TextArea } from '../../platform/design/field.js';
import { useNotice } from '../../platform/design/notice.js';
import { useChangeMaterial } from '../material/material.queries.js';
import { sendFile, sendOnly } from '../upload/upload-file.js';
import { bytes } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

interface DetailsProps {
  readonly material: MaterialView;
  readonly kept: KeptFileView;
}
type KeepMore = (more: Partial<{ transcript: string; captionsId: string | null }>) => void;

/** The words spoken, captions, and other bytes under the same address. */
export function FileDetails({ material, kept }: DetailsProps): ReactElement {
  const change = useChangeMaterial(material.id);
  const sendChange = useSendChange();
  const { file, captions, transcript } = kept;
  const keep: KeepMore = (more) =>
    sendChange(change, {
      version: material.version,
      kept: { kind: 'file', fileId: file.id, transcript, captionsId: captions?.id ?? null, ...more },
    });
  return (
    <div className="mt-2.5 flex flex-col gap-3">
      {(file.media === 'sound' || file.media === 'film') && (
        <Transcript transcript={transcript} onKeep={keep} saving={change.isPending} />
      )}
      <OtherBytes kept={kept} onKeep={keep} />
    </div>
  );
}

function Transcript({
  transcript: before,
  onKeep,
  saving,
}: {
  readonly transcript: string;
  readonly onKeep: KeepMore;
  readonly saving: boolean;
}): ReactElement {
  const [transcript, setTranscript] = useState(before);
  return (
    <>
      <TextArea
        label={t('fileDetails.transcript')}
        hint={t('fileDetails.shownBelowItForStudents')}
        rows={2}
        maxLength={keptLimits.transcriptLength}
        value={transcript}
        onChange={(event) => setTranscript(event.target.value)}
      />
      {transcript !== before && (
        <div>
          <Button onClick={() => onKeep({ transcript })} disabled={saving}>
            {t('fileDetails.saveTranscript')}
          </Button>
        </div>
      )}
    </>
  );
}

function OtherBytes({
  kept: { file, captions },
  onKeep,
}: {
  readonly kept: KeptFileView;
  readonly onKeep: KeepMore;
}): ReactElement {
  const { sent, send, replace } = useSending(file.id);
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 text-row">
      <ChooseFile label={t('fileDetails.replaceFile')} onChoose={(chosen) => void replace(chosen)} />
      {file.media === 'film' && (
        <ChooseFile
          label={captions ? t('fileDetails.replaceCaptions') : t('fileDetails.addCaptionsWebVTT')}
          accept=".vtt,text/vtt"
          onChoose={(chosen) => send(chosen, (captionsId) => onKeep({ captionsId }))}
        />
      )}
      {captions && (
        <span className="flex items-center gap-2 text-muted">
          {t('fileDetails.captions', { name: captions.name })}
          <TextButton className="" onClick={() => onKeep({ captionsId: null })}>
            {t('fileDetails.remove')}
          </TextButton>
        </span>
      )}
      {sent !== null && (
        <span role="status" className="text-muted">
          {sent}
        </span>
      )}
    </div>
  );
}

/** @returns `send` a file of its own, whose id comes back; `replace` the bytes of this one; and how much is sent, in words */
function useSending(fileId: string): {
  readonly sent: string | null;
  readonly send: (chosen: File, then: (fileId: string) => unknown) => void;
  readonly replace: (chosen: File) => Promise<void>;
} {
  const client = useQueryClient();
  const notice = useNotice();
  const [sent, setSent] = useState<string | null>(null);
  const failed = (error: unknown): void => notice({ words: wordsFor(error) });
  const tell = (chosen: File) => (count: number) => setSent(`${bytes(count)} of ${bytes(chosen.size)}`);
  const replacing = useMutation({
    mutationFn: (body: ReplaceFile) => call(routes.replaceFile, { params: { fileId }, body }),
    onSuccess: () => notice({ words: t('fileDetails.fileReplacedTheCodeStays') }),
    onError: failed,
    onSettled: () => client.invalidateQueries(),
  });
  const send = (chosen: File, then: (fileId: string) => unknown): void => {
    const sending = sendFile(chosen, chosen.name, tell(chosen), () => setSent(t('fileDetails.preparing')));
    sending.done
      .then((made) => then(made.id))
      .catch(failed)
      .finally(() => setSent(null));
  };
  /** The same address gets other bytes, so the upload itself is what is handed over. */
  const replace = async (chosen: File): Promise<void> => {
    try {
      replacing.mutate({ uploadId: await sendOnly(chosen, tell(chosen)), name: chosen.name });
    } catch (error) {
      failed(error);
    } finally {
      setSent(null);
    }
  };
  return { sent, send, replace };
}
