import { limits, routes, type ChangeSchool, type SchoolView } from '@hapset/contract';
import { useMutation, useQuery, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { paperNames } from '@hapset/core';
import type { ReactElement } from 'react';
import { useForm, type UseFormReturn } from 'react-hook-form';
import { call } from '../../platform/api/client.js';
import { ApiError } from '../../platform/api/problem-error.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { ChoiceField, TextArea, TextField } from '../../platform/design/field.js';
import { useNotice } from '../../platform/design/notice.js';
import { languageName, schoolLanguages } from '../../platform/language/school-languages.js';
import { Panel } from '../../platform/design/panel.js';
import { Tick } from '../../platform/design/tick.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { paperWords } from '../../platform/wording/sheets.js';
import { onPaperQuery, schoolQuery } from './school.queries.js';
import { t } from '../words.js';

type Fields = Omit<ChangeSchool, 'version' | 'shortLinkHost' | 'visitorNetworks'> & {
  shortLinkHost: string;
  /** One a line. */ visitorNetworks: string;
};

/** With their names. The school's own stays, also where this version has no texts in it. */
function languagesFor({ language }: SchoolView): Readonly<Record<string, string>> {
  return Object.fromEntries([...new Set([...schoolLanguages, language])].map((tag) => [tag, languageName(tag)]));
}

const edgeWords = { long: t('schoolSettings.longEdge'), short: t('schoolSettings.shortEdge') } as const;

/** Settings of the school: a form for the administrator, a list to read for everybody else. */
export function SchoolSettings({
  school,
  mayChange,
}: {
  readonly school: SchoolView;
  readonly mayChange: boolean;
}): ReactElement {
  return (
    <Panel title={t('schoolSettings.settings')}>
      {mayChange ? <SettingsForm school={school} /> : <SettingsList school={school} />}
    </Panel>
  );
}

function SettingsList({ school }: { readonly school: SchoolView }): ReactElement {
  const rows = [
    [t('schoolSettings.timeZone'), school.timeZone],
    [t('schoolSettings.language'), languageName(school.language)],
    [t('schoolSettings.paper'), paperWords[school.paper]],
    [
      t('schoolSettings.printer'),
      t('schoolSettings.mmUnprintableMarginFlipsOn', {
        printerMarginMm: school.printerMarginMm,
        edge: edgeWords[school.duplexEdge],
      }),
    ],
    [t('schoolSettings.publicAddress'), school.publicAddress],
    [t('schoolSettings.shortLinkHost'), school.shortLinkHost ?? t('schoolSettings.noneYet')],
    [
      t('schoolSettings.inspectCodesWithoutSigningIn'),
      school.visitorNetworks.length === 0
        ? t('schoolSettings.nowhere')
        : t('schoolSettings.from', { networks: school.visitorNetworks.join(', ') }),
    ],
  ];
  return (
    <>
      <dl className="m-0 grid grid-cols-[auto_1fr] gap-x-6 gap-y-2 text-body">
        {rows.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="text-muted">{name}</dt>
            <dd className="m-0 break-all">{value}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-3 mb-0 text-small text-muted">{t('schoolSettings.onlyTheSchoolsAdministratorCan')}</p>
    </>
  );
}

function SettingsForm({ school }: { readonly school: SchoolView }): ReactElement {
  const form = useForm<Fields>({ defaultValues: fieldsOf(school) });
  const { change, problems } = useChangeSchool(school);
  const languages = languagesFor(school);
  return (
    <form
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => void form.handleSubmit((fields) => change.mutate(fields))(event)}
    >
      <TextField label={t('schoolSettings.name')} {...form.register('name')} problem={problems.get('name')} />
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          label={t('schoolSettings.timeZone')}
          hint={t('schoolSettings.forExampleEuropeDublin')}
          {...form.register('timeZone')}
          problem={problems.get('timeZone')}
        />
        <ChoiceField
          choices={Object.keys(languages)}
          words={languages}
          label={t('schoolSettings.language')}
          hint={t('schoolSettings.howDatesTimesAndNumbers')}
          {...form.register('language')}
        />
        <ChoiceField
          choices={paperNames}
          words={paperWords}
          label={t('schoolSettings.paper')}
          {...form.register('paper')}
        />
      </div>
      <PrinterFields form={form} problems={problems} />
      <AddressFields form={form} problems={problems} school={school} />
      <TextArea
        label={t('schoolSettings.networksWhereAnyoneMayInspect')}
        hint={t('schoolSettings.onePerLineForExample')}
        rows={2}
        {...form.register('visitorNetworks')}
        problem={problems.get('visitorNetworks')}
      />
      <CardFields form={form} problems={problems} />
      {change.isError && <Alert words={wordsFor(change.error)} />}
      <div>
        <Button type="submit" tone="main" disabled={change.isPending}>
          {t('schoolSettings.saveSettings')}
        </Button>
      </div>
    </form>
  );
}

interface PartProps {
  readonly form: UseFormReturn<Fields>;
  readonly problems: ReadonlyMap<string, string>;
}

/** What the backs of student cards say, and whether cards have photos. */
function CardFields({ form, problems }: Parameters<typeof PrinterFields>[0]): ReactElement {
  return (
    <>
      <TextField
        label={t('schoolSettings.returnAddress')}
        hint={t('schoolSettings.returnAddressHint')}
        maxLength={limits.cardReturnToLength}
        {...form.register('cardReturnTo')}
        problem={problems.get('cardReturnTo')}
      />
      <div>
        <Tick
          words={t('schoolSettings.studentPhotos')}
          ticked={form.watch('studentPhotos')}
          onTick={(ticked) => form.setValue('studentPhotos', ticked, { shouldDirty: true })}
        />
        <p className="m-0 text-small text-muted">{t('schoolSettings.studentPhotosHint')}</p>
      </div>
    </>
  );
}

function PrinterFields({ form, problems }: PartProps): ReactElement {
  return (
    <fieldset className="m-0 rounded-small border border-line px-3 pt-1 pb-3">
      <legend className="px-1 text-small font-semibold">{t('schoolSettings.printer')}</legend>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label={t('schoolSettings.unprintableMarginMm')}
          type="number"
          step={0.5}
          min={limits.printerMarginMm.least}
          max={limits.printerMarginMm.most}
          {...form.register('printerMarginMm', { valueAsNumber: true })}
          problem={problems.get('printerMarginMm')}
        />
        <ChoiceField
          choices={['long', 'short']}
          words={edgeWords}
          label={t('schoolSettings.flipOn')}
          {...form.register('duplexEdge')}
        />
        <TextField
          label={t('schoolSettings.shiftBacksRightMm')}
          type="number"
          step={0.1}
          min={-limits.duplexShiftMm}
          max={limits.duplexShiftMm}
          {...form.register('duplexRightMm', { valueAsNumber: true })}
          problem={problems.get('duplexRightMm')}
        />
        <TextField
          label={t('schoolSettings.shiftBacksDownMm')}
          type="number"
          step={0.1}
          min={-limits.duplexShiftMm}
          max={limits.duplexShiftMm}
          {...form.register('duplexDownMm', { valueAsNumber: true })}
          problem={problems.get('duplexDownMm')}
        />
      </div>
      <p className="mt-2 mb-0 text-note text-muted">
        <a href={routes.printerTest.path} target="_blank" rel="noreferrer" className="font-semibold text-ink">
          {t('schoolSettings.printTheTestPage')}
        </a>{' '}
        {t('schoolSettings.onBothSidesItShows')}
      </p>
    </fieldset>
  );
}

function AddressFields({ form, problems, school }: PartProps & { readonly school: SchoolView }): ReactElement {
  const { dirtyFields } = form.formState;
  return (
    <>
      <TextField
        label={t('schoolSettings.publicAddress')}
        hint={t('schoolSettings.theAddressWherePhonesReach')}
        {...form.register('publicAddress')}
        problem={problems.get('publicAddress')}
      />
      <TextField
        label={t('schoolSettings.shortLinkHost')}
        hint={t('schoolSettings.aShortHostNameOf')}
        {...form.register('shortLinkHost')}
        problem={problems.get('shortLinkHost')}
      />
      <OnPaper
        moved={dirtyFields.publicAddress === true}
        renamed={dirtyFields.shortLinkHost === true}
        before={school}
      />
    </>
  );
}

function fieldsOf(school: SchoolView): Fields {
  return { ...school, shortLinkHost: school.shortLinkHost ?? '', visitorNetworks: school.visitorNetworks.join('\n') };
}

/** Only what a change may hold: a view knows more. */
function requestOf(fields: Fields, version: number): ChangeSchool {
  const { paper, printerMarginMm, duplexEdge, duplexRightMm, duplexDownMm } = fields;
  return {
    name: fields.name.trim(),
    timeZone: fields.timeZone.trim(),
    language: fields.language,
    paper,
    printerMarginMm,
    duplexEdge,
    duplexRightMm,
    duplexDownMm,
    publicAddress: fields.publicAddress.trim(),
    shortLinkHost: fields.shortLinkHost.trim() || null,
    cardReturnTo: fields.cardReturnTo.trim(),
    studentPhotos: fields.studentPhotos,
    visitorNetworks: fields.visitorNetworks.split(/[\s,]+/).filter((network) => network !== ''),
    version,
  };
}

/** @returns the change, and what is wrong with its fields by their names */
function useChangeSchool(school: SchoolView): {
  readonly change: UseMutationResult<unknown, Error, Fields>;
  readonly problems: ReadonlyMap<string, string>;
} {
  const client = useQueryClient();
  const notice = useNotice();
  const change = useMutation<unknown, Error, Fields>({
    mutationFn: (fields) => call(routes.changeSchool, { body: requestOf(fields, school.version) }),
    onSuccess: async (_, fields) => {
      notice({ words: t('schoolSettings.settingsSaved') });
      await client.invalidateQueries();
      // Dates and texts are written by the page's language.
      if (fields.language !== school.language) location.reload();
    },
    onError: (error) =>
      error instanceof ApiError && error.reason === 'stale'
        ? client.invalidateQueries({ queryKey: schoolQuery.queryKey })
        : undefined,
  });
  const wrong = change.error instanceof ApiError ? change.error.fields : [];
  return {
    change,
    problems: new Map(
      wrong.map(({ field }) => [field, fieldWords[field as keyof Fields] ?? t('schoolSettings.thisValueIsNotRight')]),
    ),
  };
}

/** What a change of addresses means for what hangs on walls already. */
function OnPaper({
  moved,
  renamed,
  before,
}: {
  readonly moved: boolean;
  readonly renamed: boolean;
  readonly before: SchoolView;
}): ReactElement | null {
  const printed = useQuery({ ...onPaperQuery, enabled: moved || renamed }).data;
  if (!printed || (!moved && !renamed)) return null;
  const pages = moved ? printed.pages : 0;
  const shortLinks = renamed || (moved && before.shortLinkHost === null) ? printed.shortLinks : 0;
  if (pages + shortLinks === 0)
    return <p className="m-0 text-row text-muted">{t('schoolSettings.noPrintedSheetUsesThe')}</p>;
  return (
    <p role="status" className="m-0 flex gap-2 text-row">
      <StateMark mark="look-at" words={t('schoolSettings.needsAttention')} />
      <span>{t('schoolSettings.printedSheetsUseTheCurrent', { count: pages + shortLinks })}</span>
    </p>
  );
}

const fieldWords: Readonly<Record<keyof Fields, string>> = {
  name: t('schoolSettings.theSchoolNeedsAName'),
  timeZone: t('schoolSettings.unknownTimeZoneWriteIt'),
  language: t('schoolSettings.chooseALanguage'),
  paper: t('schoolSettings.chooseAPaperSize'),
  printerMarginMm: t('schoolSettings.writeMillimetresFrom0To'),
  duplexEdge: t('schoolSettings.chooseAnEdge'),
  duplexRightMm: t('schoolSettings.writeMillimetresFrom10To'),
  duplexDownMm: t('schoolSettings.writeMillimetresFrom10To'),
  publicAddress: t('schoolSettings.writeAWholeAddressThat'),
  cardReturnTo: t('schoolSettings.returnAddressTooLong'),
  studentPhotos: t('schoolSettings.thisValueIsNotRight'),
  visitorNetworks: t('schoolSettings.writeEachNetworkAsAn'),
  shortLinkHost: t('schoolSettings.writeOnlyAHostName'),
};
