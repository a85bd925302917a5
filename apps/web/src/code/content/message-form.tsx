/** A message for the code itself, with its steps in sight while it is written. */
import { limits, type DeviceView } from '@hapset/contract';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { useUnsaved } from '../../platform/design/unsaved.js';
import { DraftOffer } from '../../platform/draft/draft-offer.js';
import { isText, useDraft } from '../../platform/draft/use-draft.js';
import { useOwnPlace } from '../../school/account/use-own-place.js';
import { TextArea } from '../../platform/design/field.js';
import { LiveCode } from '../symbol/live-code.js';
import { Alert } from '../../platform/design/alert.js';
import { t } from '../words.js';

interface Props {
  readonly devices: readonly DeviceView[];
  readonly send: string;
  readonly sending: boolean;
  readonly failure: string | null;
  /** @param saved to be called once the server has it */
  readonly onSend: (words: string, saved: () => void) => void;
  /** Keeps it as a written page instead. */
  readonly onPage: (words: string, saved: () => void) => void;
}

export function MessageForm({ devices, send, sending, failure, onSend, onPage }: Props): ReactElement {
  const [words, setWords] = useState('');
  const draft = useDraft(useOwnPlace('message new'), words === '' ? null : words, isText);
  useUnsaved(words !== '' && !sending, draft.remove);
  const empty = words.trim() === '';
  return (
    <form
      className="grid grid-cols-1 gap-5 sm:grid-cols-[minmax(0,1fr)_300px]"
      onSubmit={(event) => {
        event.preventDefault();
        if (!empty) onSend(words, draft.remove);
      }}
    >
      <div>
        <p className="mt-0 mb-4 text-row text-muted">{t('messageForm.everyScannerShowsItWithout')}</p>
        <DraftOffer draft={draft} onUse={setWords} />
        <TextArea
          label={t('messageForm.message')}
          rows={7}
          value={words}
          onChange={(event) => setWords(event.target.value)}
          autoFocus
          problem={words.length > limits.wordsLength ? t('messageForm.longerThanACodeCan') : undefined}
        />
        {failure !== null && <Alert words={failure} className="mt-3 mb-0" />}
        <div className="mt-4">
          <Button type="submit" tone="main" disabled={sending || empty || words.length > limits.wordsLength}>
            {send}
          </Button>
        </div>
      </div>
      <LiveCode
        payload={empty ? null : words}
        act={null}
        devices={devices}
        wayOut={<Button onClick={() => onPage(words, draft.remove)}>{t('messageForm.putItOnAPage')}</Button>}
      />
    </form>
  );
}
