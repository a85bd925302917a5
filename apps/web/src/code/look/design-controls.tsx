/** Everything that a look is made of, part by part. */
import {
  captionPlaces,
  finderShapes,
  firstInkTo,
  frameForms,
  gradientWays,
  lookLimits,
  moduleShapes,
  type LookDesign,
  type LookJudgement,
} from '@hapset/core';
import { useId, type ReactElement } from 'react';
import { ChoiceField, SelectField, TextField } from '../../platform/design/field.js';
import { Panel } from '../../platform/design/panel.js';
import { finderShapeWords, frameWords, gradientWayWords, moduleShapeWords } from '../../platform/wording/looks.js';
import { CentreControls } from './centre-controls.js';
import { Choices } from '../../platform/design/choices.js';
import { FinderSwatch, FrameSwatch, ModuleSwatch } from './swatches.js';
import { CheckBox, ColourInput, LineInput } from '../../platform/design/inputs.js';
import { t } from '../words.js';

interface Props {
  readonly design: LookDesign;
  readonly judgement: LookJudgement;
  readonly onChange: (part: Partial<LookDesign>) => void;
}

export function DesignControls({ design, judgement, onChange }: Props): ReactElement {
  return (
    <>
      <ColourControls design={design} onChange={onChange} />
      <ShapeControls design={design} onChange={onChange} />
      <CentreControls design={design} judgement={judgement} onChange={onChange} />
      <Panel title={t('designControls.frameAndText')} aside={t('designControls.outsideTheQuietZoneOn')}>
        <Choices
          legend={t('designControls.frame')}
          value={design.frame ?? 'none'}
          options={[
            { value: 'none' as const, words: t('designControls.none'), swatch: <FrameSwatch form={null} /> },
            ...frameForms.map((form) => ({
              value: form,
              words: frameWords[form],
              swatch: <FrameSwatch form={form} />,
            })),
          ]}
          onChoose={(form) => onChange({ frame: form === 'none' ? null : form })}
        />
        <CaptionControls design={design} onChange={onChange} />
      </Panel>
    </>
  );
}

type PartProps = Omit<Props, 'judgement'>;

function ColourControls({ design, onChange }: PartProps): ReactElement {
  return (
    <Panel title={t('designControls.colours')}>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <Colour label={t('designControls.code')} value={design.ink} onChange={(ink) => onChange({ ink })} />
        <Colour
          label={t('designControls.background')}
          value={design.ground}
          onChange={(ground) => onChange({ ground })}
        />
        <label className="flex min-h-9 items-center gap-2 text-body">
          <CheckBox
            checked={design.inkTo !== null}
            onChange={(event) => onChange({ inkTo: event.target.checked ? firstInkTo : null })}
          />
          {t('designControls.gradient')}
        </label>
      </div>
      {design.inkTo !== null && (
        <div className="mt-3 flex flex-wrap items-end gap-x-6 gap-y-3">
          <Colour
            label={t('designControls.secondColour')}
            value={design.inkTo}
            onChange={(inkTo) => onChange({ inkTo })}
          />
          <div className="w-48">
            <ChoiceField
              choices={gradientWays}
              words={gradientWayWords}
              label={t('designControls.direction')}
              value={design.way}
              onChange={(event) => onChange({ way: event.target.value as LookDesign['way'] })}
            />
          </div>
        </div>
      )}
    </Panel>
  );
}

function ShapeControls({ design, onChange }: PartProps): ReactElement {
  return (
    <Panel title={t('designControls.shapes')}>
      <Choices
        legend={t('designControls.modules')}
        value={design.modules}
        options={moduleShapes.map((shape) => ({
          value: shape,
          words: moduleShapeWords[shape],
          swatch: <ModuleSwatch shape={shape} />,
        }))}
        onChoose={(modules) => onChange({ modules })}
      />
      <Choices
        legend={t('designControls.cornerMarks')}
        value={design.finders}
        options={finderShapes.map((shape) => ({
          value: shape,
          words: finderShapeWords[shape],
          swatch: <FinderSwatch shape={shape} />,
        }))}
        onChoose={(finders) => onChange({ finders })}
      />
    </Panel>
  );
}

const firstWords = t('designControls.pointYourCameraHere');

function CaptionControls({ design: { caption }, onChange }: PartProps): ReactElement {
  const kind = caption === null ? 'none' : caption.words === null ? 'name' : 'words';
  const place = caption?.place ?? 'below';
  const choose = (next: 'none' | 'name' | 'words'): void =>
    onChange({
      caption: next === 'none' ? null : { words: next === 'name' ? null : (caption?.words ?? firstWords), place },
    });
  return (
    <div className="mt-3 flex flex-wrap items-end gap-x-4 gap-y-3">
      <div className="w-52">
        <SelectField
          label={t('designControls.words')}
          value={kind}
          onChange={(event) => choose(event.target.value as 'none' | 'name' | 'words')}
        >
          <option value="none">{t('designControls.none')}</option>
          <option value="name">{t('designControls.itsTitle')}</option>
          <option value="words">{t('designControls.theSameTextOnEvery')}</option>
        </SelectField>
      </div>
      {caption !== null && (
        <div className="w-32">
          <SelectField
            label={t('designControls.position')}
            value={place}
            onChange={(event) => onChange({ caption: { ...caption, place: event.target.value as 'above' | 'below' } })}
          >
            {captionPlaces.map((each) => (
              <option key={each} value={each}>
                {each === 'above' ? t('designControls.above') : t('designControls.below')}
              </option>
            ))}
          </SelectField>
        </div>
      )}
      {caption !== null && caption.words !== null && (
        <div className="min-w-56 flex-1">
          <TextField
            label={t('designControls.text')}
            value={caption.words}
            maxLength={lookLimits.captionLength}
            onChange={(event) => onChange({ caption: { words: event.target.value, place } })}
            onBlur={(event) => event.target.value.trim() === '' && onChange({ caption: { words: firstWords, place } })}
          />
        </div>
      )}
    </div>
  );
}

function Colour({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (colour: string) => void;
}): ReactElement {
  const id = useId();
  const typed = (text: string): void => {
    if (/^#[0-9a-f]{6}$/i.test(text)) onChange(text.toLowerCase());
  };
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-small font-semibold">
        {label}
      </label>
      <span className="flex items-center gap-2">
        <ColourInput
          id={id}

          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
        {/* Typed as it is; it counts once it is a whole colour. */}
        <LineInput
          key={value}
          aria-label={t('designControls.asANumber', { label })}
          defaultValue={value}
          spellCheck={false}
          maxLength={7}
          onChange={(event) => typed(event.target.value)}
          className="w-[92px] font-mono text-row"
        />
      </span>
    </div>
  );
}
