/** The code as it would be now, while somebody types: in steps, with what the class's devices would do with it. */
import type { DeviceView } from '@hapset/contract';
import {
  grainOf,
  growthSteps,
  ignoring,
  inTheHandMm,
  plainDrawing,
  planSymbol,
  tooFineInTheHand,
  type ScannerAct,
} from '@hapset/core';
import { useMemo, type ReactElement, type ReactNode } from 'react';
import { StateMark } from '../../platform/design/state-mark.js';
import { grainWords } from '../../platform/wording/figures.js';
import { ignoredSentence } from '../../platform/wording/scanners.js';
import { CodePicture } from './code-picture.js';
import { GrowthSteps } from './growth-steps.js';
import { t } from '../words.js';

interface Props {
  /** Null while something is missing. */
  readonly payload: string | null;
  /** What a scanner must act on; null for words. */
  readonly act: ScannerAct | null;
  readonly devices: readonly DeviceView[];
  /** The way out where it is too long, one click. */
  readonly wayOut?: ReactNode;
}

export function LiveCode({ payload, act, devices, wayOut }: Props): ReactElement {
  const code = useMemo(() => codeOf(payload), [payload]);
  const ignored = ignoring(devices, act).map(({ name }) => name);
  if (payload === null || payload === '') {
    return (
      <div className="flex aspect-square w-full max-w-48 items-center justify-center rounded-sheet border border-dashed border-line-strong p-4 text-center text-small text-muted">
        {t('liveCode.theCodeAppearsHereWhen')}
      </div>
    );
  }
  if (code === null) {
    return (
      <div role="status" className="text-row">
        <p className="m-0 flex items-center gap-2 font-semibold">
          <StateMark mark="stop" words={t('liveCode.tooLong')} /> {t('liveCode.longerThanACodeCan')}
        </p>
        <p className="mt-1 mb-2">{t('liveCode.putItOnAPage')}</p>
        {wayOut}
      </div>
    );
  }
  const tooFine = tooFineInTheHand(code.plan.modules, devices).map(({ name }) => name);
  return (
    <div>
      <div className="flex gap-3">
        <CodePicture
          drawing={code.drawing}
          label={t('liveCode.previewOfTheCode')}
          className="w-36 shrink-0 rounded-sheet border border-line bg-print"
        />
        <p className="m-0 text-small">
          <strong>{grainWords[grainOf(code.plan.version)]}</strong>
          <br />
          {code.plan.modules} × {code.plan.modules}
          {devices.length > 0 && tooFine.length === 0 && (
            <span className="mt-2 block text-muted">{t('liveCode.everyDeviceReadsItOn', { inTheHandMm })}</span>
          )}
        </p>
      </div>
      <div className="mt-3">{code.steps && <GrowthSteps steps={code.steps} />}</div>
      {act !== null && ignored.length > 0 && <Remark>{ignoredSentence(act, ignored)}</Remark>}
      {tooFine.length > 0 && (
        <Remark>
          {t('liveCode.tooFineForCardsCant', { devices: tooFine.join(', '), inTheHandMm })}{' '}
          {wayOut && <span className="mt-1.5 block">{wayOut}</span>}
        </Remark>
      )}
    </div>
  );
}

function Remark({ children }: { readonly children: ReactNode }): ReactElement {
  return (
    <div className="mt-2 flex gap-2 text-small">
      <span className="mt-0.5 shrink-0">
        <StateMark mark="look-at" words={t('liveCode.needsAttention')} />
      </span>
      <span>{children}</span>
    </div>
  );
}

function codeOf(payload: string | null) {
  const planned = payload === null ? null : planSymbol(payload);
  return planned?.ok
    ? { plan: planned.value, drawing: plainDrawing(planned.value), steps: growthSteps(planned.value.payload) }
    : null;
}
