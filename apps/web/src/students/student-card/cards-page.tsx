/** Cards for a class or a whole year group: what they say and show, the real pages, and whether the devices read them. */
import { cardFields, type CardsPreview, type CardsRequest } from '@hapset/contract';
import { cardCodes, perPageChoices, type CardCode } from '@hapset/core';
import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import { useDeferredValue, useState, type ReactElement } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Button, TextButton } from '../../platform/design/button.js';
import { ChoiceField, SelectField } from '../../platform/design/field.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { Panel } from '../../platform/design/panel.js';
import { groupsQuery } from '../student/roster.queries.js';
import { schoolQuery } from '../../school/settings/school.queries.js';
import { MadeDialog } from '../../paper/sheet/made-dialog.js';
import { PaperField } from '../../paper/sheet/paper-field.js';
import { PageView } from '../../paper/sheet/page-view.js';
import { SheetNotices } from '../../paper/sheet/sheet-notices.js';
import { templatesQuery } from '../../paper/sheet/sheet.queries.js';
import { Tick } from '../../platform/design/tick.js';
import { PageHead } from '../../platform/design/page-head.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { cardCodeAbout, cardCodeWords, cardFieldWords } from '../../platform/wording/students.js';
import { CardRehearsal } from './card-rehearsal.js';
import { cardsPreviewQuery, useMakeCards } from './cards.queries.js';
import { CardLook } from './card-look.js';
import { SymbolField } from './symbol-field.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { T } from '../elements.js';
import { t } from '../words.js';

const sizeWords: Readonly<Record<number, string>> = {
  8: t('cardsPage.n8Large'),
  10: t('cardsPage.n10BankCardSize'),
  24: t('cardsPage.n24Small'),
};

export function CardsPage(): ReactElement {
  const school = useQuery(schoolQuery);
  const [search] = useSearchParams();
  if (school.isPending) return <Loading rows={6} label={t('cardsPage.theCardsAreLoading')} />;
  if (hasFailed(school)) return <Failed words={wordsFor(school.error)} onRetry={() => void school.refetch()} />;
  const [className, studentId] = [search.get('class'), search.get('student')];
  return (
    <Cards
      first={{
        classNames: className === null ? [] : [className],
        studentIds: studentId === null ? [] : [studentId],
        onlyNew: false,
        code: 'token',
        design: 'band',
        band: 'class',
        newPagePerClass: false,
        schoolYear: '',
        validUntil: null,
        perPage: 10,
        paper: school.data.paper,
        fields: ['class', 'school'],
        symbol: null,
        backs: false,
        templateId: null,
      }}
    />
  );
}

function Cards({ first }: { readonly first: CardsRequest }): ReactElement {
  const [request, setRequest] = useState(first);
  const [page, setPage] = useState(0);
  const wanted = useDeferredValue(JSON.stringify({ request, page }));
  const asked = JSON.parse(wanted) as { request: CardsRequest; page: number };
  const preview = useQuery(cardsPreviewQuery(asked.request, asked.page));
  const set = (change: Partial<CardsRequest>): void => {
    setRequest({ ...request, ...change });
    setPage(0);
  };
  const cards = preview.data?.codes ?? 0;
  return (
    <>
      <PageHead
        title={t('cardsPage.studentCards')}
        trail={<Link to="/school/students">{t('cardsPage.students')}</Link>}
        about={aboutCards(preview.data)}
        actions={<MakeCards request={request} disabled={cards === 0} />}
      />
      <div className="grid items-start gap-4 lg:grid-cols-[370px_minmax(0,1fr)]">
        <Panel>
          <CardOptions request={request} onChange={set} />
        </Panel>
        <Pages preview={preview} onlyNew={request.onlyNew} onPage={setPage} />
      </div>
    </>
  );
}

function aboutCards(preview: CardsPreview | undefined): string {
  if (!preview) return t('cardsPage.byClassAndName');
  const { codes, pages } = preview;
  return t('cardsPage.cardsOnByClassAnd', {
    count: codes,
    pages: t('cardsPage.pages', { count: codes === 0 ? 0 : pages }),
  });
}

function Pages({
  preview,
  onlyNew,
  onPage,
}: {
  readonly preview: UseQueryResult<CardsPreview>;
  readonly onlyNew: boolean;
  readonly onPage: (page: number) => void;
}): ReactElement {
  const { data } = preview;
  return (
    <div className="flex min-w-0 flex-col gap-4">
      {data?.sample && <CardRehearsal sample={data.sample} />}
      {data && <Notices preview={data} />}
      {preview.isPending && <Loading rows={6} label={t('cardsPage.preparingTheCards')} />}
      {hasFailed(preview) && <Failed words={wordsFor(preview.error)} onRetry={() => void preview.refetch()} />}
      {data?.codes === 0 && (
        <Empty title={t('cardsPage.noStudentsToMakeCards')}>
          {onlyNew ? t('cardsPage.allOfThemHaveA') : t('cardsPage.chooseOtherClassesOrImport')}
        </Empty>
      )}
      {data && data.codes > 0 && <PageView preview={data} fresh={!preview.isPlaceholderData} onPage={onPage} />}
    </div>
  );
}

const namesShown = 8;

function Notices({ preview: { notices, withoutId } }: { readonly preview: CardsPreview }): ReactElement | null {
  if (notices.length + withoutId.length === 0) return null;
  return (
    <Panel title={t('cardsPage.checkBeforeYouPrint')}>
      <SheetNotices notices={notices} lessonId={null} addressOf={() => '/school/students'} />
      {withoutId.length > 0 && (
        <p className="m-0 text-row">
          <T
            k={withoutId.length > namesShown ? 'cardsPage.noIdSoNoCard2' : 'cardsPage.noIdSoNoCard'}
            values={{ names: withoutId.slice(0, namesShown).join(', '), more: withoutId.length - namesShown }}
            components={[<strong key="0" />]}
          />
        </p>
      )}
    </Panel>
  );
}

interface OptionsProps {
  readonly request: CardsRequest;
  readonly onChange: (change: Partial<CardsRequest>) => void;
}

function CardOptions({ request, onChange }: OptionsProps): ReactElement {
  const templates = (useQuery(templatesQuery).data ?? []).filter(({ kind }) => kind === 'student-card');
  const { code } = request;
  return (
    <div className="flex flex-col gap-4">
      <ForWhom request={request} onChange={onChange} />
      <ChoiceField
        label={t('cardsPage.whatTheCodeSays')}
        choices={cardCodes}
        words={cardCodeWords}
        value={code}
        hint={cardCodeAbout[code]}
        onChange={(event) => onChange({ code: event.target.value as CardCode })}
      />
      <PaperFields request={request} onChange={onChange} />
      <CardLook request={request} onChange={onChange} />
      <BesideTheName request={request} onChange={onChange} />
      {templates.length > 0 && (
        <SelectField
          label={t('cardsPage.template')}
          value={request.templateId ?? ''}
          onChange={(event) => onChange({ templateId: event.target.value || null })}
        >
          <option value="">{t('cardsPage.default')}</option>
          {templates.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
      )}
    </div>
  );
}

function ForWhom({ request: { classNames, studentIds, onlyNew }, onChange }: OptionsProps): ReactElement {
  const groups = useQuery(groupsQuery).data;
  if (studentIds.length > 0)
    return (
      <p className="m-0 text-row">
        {t('cardsPage.forOneStudent')}{' '}
        <TextButton onClick={() => onChange({ studentIds: [] })}>{t('cardsPage.chooseClasses')}</TextButton>
      </p>
    );
  return (
    <fieldset className="m-0 border-0 p-0">
      <legend className="mb-1 text-small font-semibold">{t('cardsPage.students2')}</legend>
      <div className="grid max-h-44 grid-cols-2 gap-x-3 overflow-auto">
        <Tick
          words={groups ? t('cardsPage.allClasses', { students: groups.students }) : t('cardsPage.allClasses2')}
          ticked={classNames.length === 0}
          onTick={() => onChange({ classNames: [] })}
        />
        {groups?.classes.map(({ name, students }) => (
          <Tick
            key={name}
            words={`${name} (${students})`}
            ticked={classNames.includes(name)}
            onTick={(ticked) =>
              onChange({ classNames: ticked ? [...classNames, name] : classNames.filter((other) => other !== name) })
            }
          />
        ))}
      </div>
      <Tick
        words={t('cardsPage.onlyStudentsWithoutACard')}
        ticked={onlyNew}
        onTick={(ticked) => onChange({ onlyNew: ticked })}
      />
    </fieldset>
  );
}

function PaperFields({ request, onChange }: OptionsProps): ReactElement {
  return (
    <div className="grid grid-cols-2 gap-3">
      <PaperField value={request.paper} onChoose={(paper) => onChange({ paper })} />
      <SelectField
        label={t('cardsPage.perPage')}
        value={request.perPage}
        onChange={(event) => onChange({ perPage: Number(event.target.value) })}
      >
        {perPageChoices['student-card'].map((count) => (
          <option key={count} value={count}>
            {sizeWords[count]}
          </option>
        ))}
      </SelectField>
    </div>
  );
}

function BesideTheName({ request, onChange }: OptionsProps): ReactElement {
  const { fields } = request;
  const photos = useQuery(schoolQuery).data?.studentPhotos === true;
  return (
    <fieldset className="m-0 border-0 p-0">
      <legend className="mb-1 text-small font-semibold">{t('cardsPage.symbolBesideTheName')}</legend>
      <div className="grid grid-cols-2 gap-x-3">
        {cardFields
          .filter((field) => field !== 'photo' || photos)
          .map((field) => (
            <Tick
              key={field}
              words={cardFieldWords[field]}
              ticked={fields.includes(field)}
              onTick={(ticked) =>
                onChange({ fields: cardFields.filter((other) => (other === field ? ticked : fields.includes(other))) })
              }
            />
          ))}
        <Tick
          words={t('cardsPage.printBacksBothSides')}
          ticked={request.backs}
          onTick={(backs) => onChange({ backs })}
        />
        <Tick
          words={t('cardsPage.newPageForEachClass')}
          ticked={request.newPagePerClass}
          onTick={(newPagePerClass) => onChange({ newPagePerClass })}
        />
      </div>
      <SymbolField value={request.symbol} onChange={(symbol) => onChange({ symbol })} />
    </fieldset>
  );
}

function MakeCards({
  request,
  disabled,
}: {
  readonly request: CardsRequest;
  readonly disabled: boolean;
}): ReactElement {
  const make = useMakeCards();
  const sendChange = useSendChange();
  const [made, setMade] = useState<string | null>(null);
  return (
    <>
      <Button
        tone="main"
        disabled={disabled || make.isPending}
        onClick={() =>
          sendChange(make, request, {
            onSuccess: ({ id }) => setMade(id),
          })
        }
      >
        {make.isPending ? t('cardsPage.making') : t('cardsPage.makeTheCards')}
      </Button>
      {made !== null && <MadeDialog title={t('cardsPage.yourCards')} printId={made} onClose={() => setMade(null)} />}
    </>
  );
}
