import type { ServiceView } from '@hapset/contract';
import type { ServiceDescription } from '@hapset/core';
import { useState, type ReactElement } from 'react';
import { ApiError } from '../../platform/api/problem-error.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { ChooseFile } from '../../platform/design/choose-file.js';
import { Dialog } from '../../platform/design/dialog.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { serviceFileWords, fieldProblemSentence } from '../../platform/wording/services.js';
import { readServiceFile } from './service-file.js';
import { useKeepService } from './service.queries.js';
import { CheckBox } from '../../platform/design/inputs.js';
import { t } from '../words.js';

interface Row {
  readonly description: ServiceDescription;
  readonly wanted: boolean;
  /** Null until it was sent. */
  readonly outcome: 'kept' | { readonly problem: string } | null;
}

/** Imports descriptions from a file, each seen before it is saved; what can't be used says where its problem is. */
export function ImportServices({
  known,
  onClose,
}: {
  readonly known: readonly ServiceView[];
  readonly onClose: () => void;
}): ReactElement {
  const keep = useKeepService();
  const [rows, setRows] = useState<readonly Row[]>([]);
  const [failure, setFailure] = useState<string | null>(null);
  const choose = async (file: File): Promise<void> => {
    const read = await readServiceFile(file);
    setFailure(read.ok ? null : serviceFileWords[read.problem]);
    setRows(read.ok ? read.descriptions.map((description) => ({ description, wanted: true, outcome: null })) : []);
  };
  const change = (index: number, more: Partial<Row>): void =>
    setRows((before) => before.map((row, at) => (at === index ? { ...row, ...more } : row)));
  const importAll = async (): Promise<void> => {
    for (const [index, { description, wanted, outcome }] of rows.entries()) {
      if (!wanted || outcome === 'kept') continue;
      const version = known.find(({ id }) => id === description.id)?.version ?? null;
      await keep.mutateAsync({ description, version }).then(
        () => change(index, { outcome: 'kept' }),
        (error: unknown) => change(index, { outcome: { problem: problemOf(error) } }),
      );
    }
  };
  const left = rows.filter(({ wanted, outcome }) => wanted && outcome !== 'kept').length;
  return (
    <Dialog title={t('importServices.importServices')} about={t('importServices.aJSONFileWithOne')} onClose={onClose}>
      <ChooseFile
        wide
        label={t('importServices.chooseAFile')}
        accept=".json,application/json"
        onChoose={(file) => void choose(file)}
      />
      {failure !== null && <Alert words={failure} className="mt-3 mb-0" />}
      <ul aria-label={t('importServices.inTheFile')} className="m-0 mt-3 list-none p-0">
        {rows.map((row, index) => (
          <ServiceToImport
            key={index}
            row={row}
            replaces={known.some(({ id }) => id === row.description.id)}
            onTick={() => change(index, { wanted: !row.wanted })}
          />
        ))}
      </ul>
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={onClose}>
          {left === 0 && rows.length > 0 ? t('importServices.done') : t('importServices.cancel')}
        </Button>
        {left > 0 && (
          <Button tone="main" disabled={keep.isPending} onClick={() => void importAll()}>
            {t('importServices.importServices2', { count: left })}
          </Button>
        )}
      </div>
    </Dialog>
  );
}

function ServiceToImport({
  row: { description, wanted, outcome },
  replaces,
  onTick,
}: {
  readonly row: Row;
  readonly replaces: boolean;
  readonly onTick: () => void;
}): ReactElement {
  const problem = outcome !== null && outcome !== 'kept' ? outcome.problem : null;
  return (
    <li className="flex items-start gap-3 border-t border-line py-2 first:border-t-0">
      <label className="flex min-h-8 flex-1 items-start gap-2.5 text-field">
        <CheckBox className="mt-1" checked={wanted} disabled={outcome === 'kept'} onChange={onTick} />
        <span>
          <strong>{description.name}</strong>
          <span className={`block text-small ${problem === null ? 'text-muted' : 'text-stop'}`}>
            {problem ?? (replaces ? t('importServices.replacesTheCurrentOne') : t('importServices.new'))}
          </span>
        </span>
      </label>
      {outcome === 'kept' && <StateMark mark="done" words={t('importServices.saved')} />}
      {problem !== null && <StateMark mark="stop" words={t('importServices.notSaved')} />}
    </li>
  );
}

function problemOf(error: unknown): string {
  const [first] = error instanceof ApiError ? error.fields : [];
  return first ? `${first.field === '' ? '' : `${first.field}: `}${fieldProblemSentence(first)}` : wordsFor(error);
}
