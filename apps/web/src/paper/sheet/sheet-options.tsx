/** How the sheets are to be: kind, paper, what is on them. */
import { limits, type SheetChoices, type SheetTemplateView } from '@hapset/contract';
import {
  plainChoices,
  composedKinds,
  layoutsOf,
  faceFields,
  perPageChoices,
  withBacks,
  type FaceField,
  type FaceLayoutName,
  type SheetKind,
} from '@hapset/core';
import type { ReactElement } from 'react';
import { TextButton } from '../../platform/design/button.js';
import { Choices } from '../../platform/design/choices.js';
import { ChoiceField, SelectField, TextField } from '../../platform/design/field.js';
import { languages } from '@hapset/student-texts/languages';
import { faceFieldWords, layoutWords, sheetKindAbout, sheetKindWords } from '../../platform/wording/sheets.js';
import { DesignSwatch } from './design-swatch.js';
import { KindSwatch } from './kind-swatch.js';
import { PaperField } from './paper-field.js';
import { LabelFields } from './label-fields.js';
import { Tick } from '../../platform/design/tick.js';
import { t } from '../words.js';

interface Props {
  readonly choices: SheetChoices;
  readonly templates: readonly SheetTemplateView[];
  readonly onChange: (choices: SheetChoices) => void;
  readonly onNewTemplate: () => void;
}

const waysRound = ['upright', 'lying'] as const;
const waysRoundWords = { upright: t('sheetOptions.portrait'), lying: t('sheetOptions.landscape') } as const;
const arrangements = ['list', 'columns'] as const;
const arrangementWords = { list: t('sheetOptions.oneBelowTheOther'), columns: t('sheetOptions.inColumns') } as const;
const hanWords = { sc: t('sheetOptions.chinese'), jp: t('sheetOptions.japanese') } as const;

export function SheetOptions({ choices, templates, onChange, onNewTemplate }: Props): ReactElement {
  const { kind } = choices;
  const set = (change: Partial<SheetChoices>): void => onChange({ ...choices, ...change });
  return (
    <div className="flex flex-col gap-4">
      <KindAndDesign choices={choices} templates={templates} onChange={onChange} />
      <div className="grid grid-cols-2 gap-3">
        <PaperFields choices={choices} set={set} />
        <AmountFields choices={choices} set={set} />
        <TextField
          label={t('sheetOptions.readFromM')}
          type="number"
          min={limits.viewingDistanceM.least}
          max={limits.viewingDistanceM.most}
          step={0.1}
          placeholder={usualDistanceWords[kind] ?? t('sheetOptions.n03InTheHand')}
          value={choices.distanceM ?? ''}
          onChange={(event) => set({ distanceM: distanceIn(event.target.value) })}
        />
      </div>
      {kind === 'label' && (
        <LabelFields paper={choices.paper} labels={choices.labels} startAt={choices.startAt} onChange={set} />
      )}
      <WhatStandsOnThem choices={{ ...choices, layout: shownLayout(choices, templates) }} set={set} />
      <LanguageFields choices={choices} set={set} />
      <div className="grid grid-cols-2 items-end gap-3">
        <TemplateField choices={choices} set={set} templates={templates} />
        <TextButton className="text-left text-row" onClick={onNewTemplate}>
          {t('sheetOptions.newTemplate')}
        </TextButton>
      </div>
      <details>
        <summary className="cursor-pointer text-small font-semibold">{t('sheetOptions.more')}</summary>
        <div className="mt-2">
          <ChoiceField
            label={t('sheetOptions.chineseCharacterForms')}
            choices={['sc', 'jp']}
            words={hanWords}
            value={choices.han}
            hint={t('sheetOptions.nextToKanaOrHangul')}
            onChange={(event) => set({ han: event.target.value as SheetChoices['han'] })}
          />
        </div>
      </details>
    </div>
  );
}

function KindAndDesign({
  choices,
  templates,
  onChange,
}: Pick<Props, 'choices' | 'templates' | 'onChange'>): ReactElement {
  const { kind } = choices;
  return (
    <>
      <div>
        <Choices
          legend={t('sheetOptions.kind')}
          value={kind}
          options={composedKinds.map((value) => ({
            value,
            words: sheetKindWords[value],
            swatch: <KindSwatch kind={value} />,
          }))}
          onChoose={(next) => onChange(ofAnotherKind(choices, next))}
        />
        <p className="mt-1.5 mb-0 text-note text-muted">{sheetKindAbout[kind]}</p>
      </div>
      <Choices
        legend={t('sheetOptions.design')}
        value={shownLayout(choices, templates)}
        options={layoutsOf(kind).map((value) => ({
          value,
          words: layoutWords[value],
          swatch: <DesignSwatch layout={value} isPoster={kind === 'poster'} />,
        }))}
        onChoose={(layout) => onChange({ ...choices, layout })}
      />
    </>
  );
}

const usualDistanceWords: Readonly<Partial<Record<SheetKind, string>>> = {
  poster: t('sheetOptions.theLessons'),
  'table-card': t('sheetOptions.n05OnATable'),
};

interface FieldsProps {
  readonly choices: SheetChoices;
  readonly set: (change: Partial<SheetChoices>) => void;
}

function PaperFields({ choices, set }: FieldsProps): ReactElement {
  return (
    <>
      <PaperField value={choices.paper} onChoose={(paper) => set({ paper })} />
      <ChoiceField
        label={t('sheetOptions.orientation')}
        choices={waysRound}
        words={waysRoundWords}
        value={choices.lying ? 'lying' : 'upright'}
        onChange={(event) => set({ lying: event.target.value === 'lying' })}
      />
    </>
  );
}

/** How many on a page, in which order, and how often; as far as the kind leaves a choice. */
function AmountFields({ choices: { kind, perPage, inColumns, copies }, set }: FieldsProps): ReactElement {
  return (
    <>
      {perPageChoices[kind].length > 1 && (
        <SelectField
          label={t('sheetOptions.perPage')}
          value={perPage}
          onChange={(event) => set({ perPage: Number(event.target.value) })}
        >
          {perPageChoices[kind].map((count) => (
            <option key={count} value={count}>
              {count === 0 ? t('sheetOptions.asManyAsFill') : t('sheetOptions.codes', { number: count })}
            </option>
          ))}
        </SelectField>
      )}
      {kind === 'handout' && (
        <ChoiceField
          label={t('sheetOptions.order')}
          choices={arrangements}
          words={arrangementWords}
          value={inColumns ? 'columns' : 'list'}
          onChange={(event) => set({ inColumns: event.target.value === 'columns' })}
        />
      )}
      {kind !== 'poster' && kind !== 'handout' && (
        <Count
          label={t('sheetOptions.copiesOfEach')}
          value={copies}
          most={limits.sheetCopies}
          onChange={(next) => set({ copies: next })}
        />
      )}
    </>
  );
}

function WhatStandsOnThem({ choices: { kind, fields, picture, backs, layout }, set }: FieldsProps): ReactElement {
  return (
    <fieldset className="m-0 border-0 p-0">
      <legend className="mb-1 text-small font-semibold">{t('sheetOptions.whatToPrint')}</legend>
      <div className="grid grid-cols-2 gap-x-3">
        {faceFields.map((field) => (
          <Tick
            key={field}
            words={faceFieldWords[field]}
            ticked={fields.includes(field)}
            onTick={(ticked) => set({ fields: withField(fields, field, ticked) })}
          />
        ))}
        {kind === 'poster' && layout === 'picture-first' && (
          <Tick
            words={t('sheetOptions.pictureOfWhatOpens')}
            ticked={picture}
            onTick={(ticked) => set({ picture: ticked })}
          />
        )}
        {withBacks.includes(kind) && (
          <Tick
            words={t('sheetOptions.printBacksBothSides')}
            ticked={backs}
            onTick={(ticked) => set({ backs: ticked })}
          />
        )}
      </div>
    </fieldset>
  );
}

/** What sheets say by themselves, in one language or two. */
function LanguageFields({ choices: { languages: chosen }, set }: FieldsProps): ReactElement {
  const [first = 'en', second] = chosen;
  return (
    <div>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label={t('sheetOptions.phrasesIn')}
          value={first}
          onChange={(event) => set({ languages: twoOf(event.target.value, second) })}
        >
          {languages.map(({ tag, name }) => (
            <option key={tag} value={tag} lang={tag}>
              {name}
            </option>
          ))}
        </SelectField>
        <SelectField
          label={t('sheetOptions.secondLanguage')}
          value={second ?? ''}
          onChange={(event) => set({ languages: twoOf(first, event.target.value) })}
        >
          <option value="">{t('sheetOptions.noSecond')}</option>
          {languages
            .filter(({ tag }) => tag !== first)
            .map(({ tag, name }) => (
              <option key={tag} value={tag} lang={tag}>
                {name}
              </option>
            ))}
        </SelectField>
      </div>
      <p className="mt-1 mb-0 text-note text-muted">{t('sheetOptions.aboutPhrases')}</p>
    </div>
  );
}

function twoOf(first: string, second: string | undefined): readonly string[] {
  return second === undefined || second === '' || second === first ? [first] : [first, second];
}

/** The one that is chosen, or what comes of the template. */
function shownLayout(
  { kind, layout, templateId }: SheetChoices,
  templates: readonly SheetTemplateView[],
): FaceLayoutName {
  const template = templates.find(({ id, usual, kind: of }) =>
    templateId === null ? usual && of === kind : id === templateId,
  );
  return layout ?? template?.layout ?? layoutsOf(kind)[0] ?? 'big-number';
}

function TemplateField({
  choices: { kind, templateId },
  set,
  templates,
}: FieldsProps & Pick<Props, 'templates'>): ReactElement {
  const ofKind = templates.filter((template) => template.kind === kind);
  return (
    <SelectField
      label={t('sheetOptions.template')}
      value={templateId ?? ''}
      onChange={(event) => {
        const labels = ofKind.find(({ id }) => id === event.target.value)?.labels;
        set({ templateId: event.target.value || null, ...(labels && { labels }) });
      }}
    >
      <option value="">
        {t('sheetOptions.default', { template: ofKind.find(({ usual }) => usual)?.name ?? t('sheetOptions.plain') })}
      </option>
      {ofKind.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </SelectField>
  );
}

/** Paper and way round stay; the rest is as that kind usually is. */
function ofAnotherKind({ paper, lying, han, labels, languages: chosen }: SheetChoices, kind: SheetKind): SheetChoices {
  return { ...plainChoices(kind, paper, chosen), lying: kind === 'label' ? false : lying, han, labels };
}

function withField(fields: readonly FaceField[], field: FaceField, wanted: boolean): readonly FaceField[] {
  return faceFields.filter((candidate) => (candidate === field ? wanted : fields.includes(candidate)));
}

function distanceIn(text: string): number | null {
  const value = Number(text);
  return text.trim() === '' ||
    !Number.isFinite(value) ||
    value < limits.viewingDistanceM.least ||
    value > limits.viewingDistanceM.most
    ? null
    : value;
}

function Count({
  label,
  value,
  most,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly most: number;
  readonly onChange: (value: number) => void;
}): ReactElement {
  return (
    <TextField
      label={label}
      type="number"
      min={1}
      max={most}
      value={value}
      onChange={(event) => {
        const next = Math.round(Number(event.target.value));
        if (next >= 1 && next <= most) onChange(next);
      }}
    />
  );
}
