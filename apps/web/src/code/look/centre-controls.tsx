import { lookLimits, type LookCentre, type LookDesign, type LookJudgement } from '@hapset/core';
import type { ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { ChooseFile } from '../../platform/design/choose-file.js';
import { Panel } from '../../platform/design/panel.js';
import { percent } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { ChooseIcon } from './choose-icon.js';
import { useAddLookPicture } from './look.queries.js';
import { CheckBox, RangeInput } from '../../platform/design/inputs.js';
import { t } from '../words.js';

interface Props {
  readonly design: LookDesign;
  readonly judgement: LookJudgement;
  readonly onChange: (part: Partial<LookDesign>) => void;
}

/** A picture in the middle: an icon, or one of the school's own. By itself it is as large as leaves half of the repair. */
export function CentreControls({ design: { centre }, judgement, onChange }: Props): ReactElement {
  const upload = useAddLookPicture();
  const put = (next: LookCentre | null): void => onChange({ centre: next });
  const side = centre?.side ?? null;
  return (
    <Panel
      title={t('centreControls.centrePicture')}
      aside={
        centre === null
          ? t('centreControls.usesPartOfTheError')
          : judgement.centre === null
            ? t('centreControls.thisCodeHasNoRoom')
            : t('centreControls.modules', { width: judgement.centre.width, height: judgement.centre.height })
      }
      action={
        <>
          <ChooseFile
            label={upload.isPending ? t('centreControls.uploading') : t('centreControls.ownPicture')}
            accept="image/png,image/jpeg,image/webp"
            onChoose={(file) =>
              upload.mutate(file, {
                onSuccess: ({ id, aspect }) => put({ kind: 'picture', pictureId: id, aspect, side }),
              })
            }
          />
          {centre !== null && <Button onClick={() => put(null)}>{t('centreControls.nothing')}</Button>}
        </>
      }
    >
      {upload.isError && (
        <p role="alert" className="mt-0 mb-2 text-small font-semibold text-stop">
          {wordsFor(upload.error)}
        </p>
      )}
      <ChooseIcon
        chosen={centre?.kind === 'icon' ? centre.icon : null}
        none={t('centreControls.noIconOfThatName')}
        onChoose={(icon) => put({ kind: 'icon', icon, side })}
      />
      {centre !== null && <SizeControl centre={centre} now={judgement.centre} onChange={put} />}
    </Panel>
  );
}

function SizeControl({
  centre,
  now,
  onChange,
}: {
  readonly centre: LookCentre;
  readonly now: LookJudgement['centre'];
  readonly onChange: (centre: LookCentre) => void;
}): ReactElement {
  const { least, most } = lookLimits.side;
  const byHand = centre.side !== null;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2 border-t border-line pt-3 text-body">
      <label className="flex min-h-9 items-center gap-2">
        <CheckBox
          checked={!byHand}
          onChange={(event) => onChange({ ...centre, side: event.target.checked ? null : 0.22 })}
        />
        {t('centreControls.largestSizeThatKeepsHalf')}
      </label>
      {byHand && (
        <label className="flex min-h-9 items-center gap-2.5">
          {t('centreControls.width')}
          <RangeInput
            min={least}
            max={most}
            step={0.01}
            value={centre.side ?? least}
            onChange={(event) => onChange({ ...centre, side: Number(event.target.value) })}
            className="w-44"
          />
          <span className="w-12 text-muted">{percent(centre.side ?? least)}</span>
        </label>
      )}
      {now === null && <span className="text-small text-muted">{t('centreControls.itIsShownOnCodes')}</span>}
    </div>
  );
}
