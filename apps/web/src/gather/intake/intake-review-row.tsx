/** One of the pasted items: what it was understood as, what was corrected, and what can be chosen otherwise. */
import { namesListed } from '../../platform/wording/figures.js';
import type { DeviceView } from '@hapset/contract';
import {
  chooseSize,
  describeAddress,
  linkKinds,
  modulesOf,
  recogniseKind,
  tooFineInTheHand,
  type IntakeContact,
  type IntakeLink,
  type IntakeWords,
  type LinkKind,
  type ServiceCatalogue,
} from '@hapset/core';
import { Link } from 'react-router';
import { memo, useState, type Dispatch, type ReactElement, type ReactNode } from 'react';
import { TextButton } from '../../platform/design/button.js';
import { CheckBox, WordSelect } from '../../platform/design/inputs.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { contactName, refusedWords } from '../../platform/wording/intake.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { roleSentences, withoutStars } from '../../platform/wording/services.js';
import { KindIcon } from '../material/kind-icon.js';
import { RepairList } from '../material/repair-list.js';
import { ChangeItem } from './change-item.js';
import { Question } from './intake-question.js';
import type { IntakeAction } from './intake-state.js';
import { fitsNoCode, type IntakeRowState } from './new-materials.js';
import { t } from '../words.js';

export interface ReviewRowProps {
  readonly row: IntakeRowState;
  readonly index: number;
  readonly devices: readonly DeviceView[];
  readonly catalogue: ServiceCatalogue;
  readonly dispatch: Dispatch<IntakeAction>;
  /** True where it is not the only one, so that it can be left out. */
  readonly isOneOfMany: boolean;
}

/** Drawn again only when it changed itself: scrolling through thousands draws new rows alone. */
export const ReviewRow = memo(function ReviewRow(props: ReviewRowProps): ReactElement {
  const { row, dispatch } = props;
  const { item } = row;
  const [changing, setChanging] = useState(false);
  return (
    <div className={`flex flex-wrap gap-x-3 gap-y-1 px-4 py-2.5 sm:flex-nowrap ${isMuted(row) ? 'text-muted' : ''}`}>
      <span className="mt-0.5 shrink-0">
        <RowMark {...props} />
      </span>
      <div className="min-w-0 flex-1">
        {changing ? (
          <ChangeItem
            item={item}
            onCancel={() => setChanging(false)}
            onSave={(change) => {
              setChanging(false);
              dispatch({ kind: 'changed', pasted: item.pasted, change });
            }}
          />
        ) : (
          <Understood {...props} />
        )}
      </div>
      {!changing && <RowActions {...props} onChange={() => setChanging(true)} />}
    </div>
  );
});

/** Left out, or here already: read, but not added. */
function isMuted({ item, taken, used, leftOut }: IntakeRowState): boolean {
  return leftOut || (!taken && used === null && item.kind !== 'question');
}

function RowMark({ row, catalogue }: ReviewRowProps): ReactElement {
  const { item } = row;
  if (item.kind === 'unusable') return <StateMark mark="stop" words={t('intakeReviewRow.cantBeUsed')} />;
  if (item.kind === 'question') return <StateMark mark="look-at" words={t('intakeReviewRow.question')} />;
  if (item.kind === 'contact') return <KindIcon kind={item.content.kind} />;
  return <KindIcon kind={item.kind === 'words' ? 'message' : kindOf(row, item, catalogue)} />;
}

/** The item as it will be, with what was corrected. */
function Understood(props: ReviewRowProps): ReactElement {
  const { row, devices, dispatch } = props;
  const { item } = row;
  const beside = [item.instruction, item.tags.length > 0 ? item.tags.join(', ') : null].filter((part) => part !== null);
  return (
    <>
      {item.kind === 'question' && !row.leftOut && <Question item={item} dispatch={dispatch} />}
      {item.kind === 'question' && row.leftOut && <p className="m-0 text-body break-words">{item.pasted}</p>}
      {item.kind === 'link' && <LinkText {...props} item={item} />}
      {item.kind === 'words' && <WordsText item={item} row={row} dispatch={dispatch} devices={devices} />}
      {item.kind === 'contact' && <ContactText item={item} />}
      {item.kind === 'unusable' && (
        <>
          <p className="m-0 font-mono text-small break-all">{item.pasted}</p>
          <p className="m-0 text-small text-stop">{refusedWords[item.problem]}</p>
        </>
      )}
      {beside.length > 0 && <p className="m-0 text-note text-muted">{beside.join(' · ')}</p>}
      {item.kind === 'link' && <Corrections item={item} />}
    </>
  );
}

/** What can be done with the row: change it, ask again, leave it out, add a duplicate. */
function RowActions({
  row,
  index,
  dispatch,
  isOneOfMany,
  onChange,
}: ReviewRowProps & { readonly onChange: () => void }): ReactElement {
  const { item, asked, leftOut, duplicate, match } = row;
  const pasted = item.pasted;
  return (
    <div className="flex shrink-0 basis-full flex-wrap items-start gap-x-3 pl-8 text-small sm:basis-auto sm:justify-end sm:pl-0">
      {(duplicate !== null || match !== null) && !leftOut && (
        <label className="flex min-h-8 items-center gap-2 text-small">
          {duplicate === 'already-here' && t('intakeReviewRow.alreadyHere')}
          {duplicate === 'in-this-list' && t('intakeReviewRow.twiceInThisList')}
          <span className="font-semibold text-ink">
            <CheckBox
              checked={row.taken}
              onChange={() => dispatch({ kind: 'duplicate-toggled', index })}
              className="mr-1.5 align-[-2px]"
            />
            {match === null ? t('intakeReviewRow.addAnyway') : t('intakeReviewRow.addAgain')}
          </span>
        </label>
      )}
      {asked !== null && (
        <TextButton onClick={() => dispatch({ kind: 'answered', pasted: asked, answer: null })}>
          {t('intakeReviewRow.chooseAgain')}
        </TextButton>
      )}
      {!leftOut && item.kind !== 'contact' && <TextButton onClick={onChange}>{t('intakeReviewRow.change')}</TextButton>}
      {isOneOfMany && (
        <TextButton onClick={() => dispatch({ kind: 'left-out-toggled', pasted })}>
          {leftOut ? t('intakeReviewRow.addIt') : t('intakeReviewRow.remove')}
        </TextButton>
      )}
    </div>
  );
}

function kindOf({ kind }: IntakeRowState, item: IntakeLink, catalogue: ServiceCatalogue): LinkKind {
  return kind ?? recogniseKind(item.link, catalogue);
}

/** The link with its kind, which can be chosen otherwise, and with what its address gives away. */
function LinkText({ row, item, catalogue, dispatch }: ReviewRowProps & { readonly item: IntakeLink }): ReactElement {
  const described = describeAddress(item.link, catalogue);
  const role = described?.address?.role ?? 'student';
  const kind = kindOf(row, item, catalogue);
  return (
    <>
      {item.title !== null && <p className="m-0 text-body font-semibold">{item.title}</p>}
      <p className="m-0 font-mono text-small break-all">{item.link}</p>
      <p className="m-0 flex flex-wrap items-center gap-x-1.5 text-note text-muted">
        <KindChoice
          link={item.link}
          kind={kind}
          onKind={(linkKind) => dispatch({ kind: 'kind-chosen', pasted: item.pasted, linkKind })}
        />
        {described && <span>{described.service.name}</span>}
      </p>
      {described && role !== 'student' && (
        <OtherRole role={role} item={item} described={described} dispatch={dispatch} />
      )}
      {row.match !== null && (
        <p className="m-0 mt-0.5 text-small">
          {row.used === null ? t('intakeReviewRow.alsoOnYourShelfAs') : t('intakeReviewRow.alreadyOnYourShelfAs')}{' '}
          <Link to={`/shelf/${row.match.materialId}`} className="font-semibold text-ink">
            {row.match.title}
          </Link>
        </p>
      )}
      {row.insteadOf !== null && (
        <p className="m-0 mt-0.5 flex flex-wrap items-center gap-x-2 text-small">
          <span className="text-done">
            {t('intakeReviewRow.studentsLinkInsteadOf')} <span className="font-mono break-all">{row.insteadOf}</span>
          </span>
          <TextButton onClick={() => dispatch({ kind: 'student-link-chosen', pasted: item.pasted, link: null })}>
            {t('intakeReviewRow.undo')}
          </TextButton>
        </p>
      )}
    </>
  );
}

/** What the address gives away, and the student’s link where it can be told from it. */
function OtherRole({
  role,
  item,
  described,
  dispatch,
}: Pick<ReviewRowProps, 'dispatch'> & {
  readonly item: IntakeLink;
  readonly role: keyof typeof roleSentences;
  readonly described: NonNullable<ReturnType<typeof describeAddress>>;
}): ReactElement {
  const { studentLink, address } = described;
  return (
    <p className="m-0 mt-0.5 flex flex-wrap items-center gap-x-2 text-small">
      <StateMark mark="look-at" words={t('intakeReviewRow.needsAttention')} />
      <span className="min-w-0 flex-1 basis-52 sm:flex-initial sm:basis-auto">
        {roleSentences[role]} {studentLink === null && address?.steps?.map(withoutStars).join(' ')}
      </span>
      {studentLink !== null && (
        <TextButton onClick={() => dispatch({ kind: 'student-link-chosen', pasted: item.pasted, link: studentLink })}>
          {t('intakeReviewRow.useTheStudentsLink')}
        </TextButton>
      )}
    </p>
  );
}

/** The kind, with the others to choose from once it is pointed at: a long list would draw thousands of them for nothing. */
function KindChoice({
  link,
  kind,
  onKind,
}: {
  readonly link: string;
  readonly kind: LinkKind;
  readonly onKind: (kind: LinkKind) => void;
}): ReactElement {
  const [wanted, setWanted] = useState(false);
  return (
    <WordSelect
      aria-label={t('intakeReviewRow.kindOf', { link })}
      value={kind}
      onPointerEnter={() => setWanted(true)}
      onFocus={() => setWanted(true)}
      onChange={(event) => onKind(event.target.value as LinkKind)}
    >
      {(wanted ? linkKinds : [kind]).map((choice) => (
        <option key={choice} value={choice}>
          {kindWords[choice]}
        </option>
      ))}
    </WordSelect>
  );
}

function WordsText({
  item,
  row,
  dispatch,
  devices,
}: Pick<ReviewRowProps, 'row' | 'dispatch' | 'devices'> & { readonly item: IntakeWords }): ReactElement {
  return (
    <>
      {item.title !== null && <p className="m-0 text-body font-semibold">{item.title}</p>}
      <p className="m-0 text-body break-words whitespace-pre-line">{item.words}</p>
      <p className="m-0 text-note text-muted">
        {row.onPage ? t('intakeReviewRow.writtenPageTheCodeLeads') : t('intakeReviewRow.messageTheWordsAreIn')}
      </p>
      <TooLong
        item={item}
        onPage={row.onPage}
        onSwitch={() => dispatch({ kind: 'page-toggled', pasted: item.pasted })}
        devices={devices}
      />
    </>
  );
}

function ContactText({ item }: { readonly item: IntakeContact }): ReactElement {
  return (
    <>
      {item.title !== null && <p className="m-0 text-body font-semibold">{item.title}</p>}
      <p className="m-0 font-mono text-small break-all">{contactName(item.content)}</p>
      <p className="m-0 text-note text-muted">{kindWords[item.content.kind]}</p>
    </>
  );
}

/** What is too long for a code, or for reading in the hand, and the page that it could have. */
function TooLong({
  item,
  onPage,
  onSwitch,
  devices,
}: {
  readonly item: IntakeWords;
  readonly onPage: boolean;
  readonly onSwitch: () => void;
  readonly devices: readonly DeviceView[];
}): ReactElement | null {
  const none = fitsNoCode(item);
  const tooFine = none ? [] : tooFineFor(item, devices);
  if (onPage) return <TooLongLine action={t('intakeReviewRow.putItIntoTheCode')} onSwitch={onSwitch} />;
  if (!none && tooFine.length === 0) return null;
  return (
    <TooLongLine action={t('intakeReviewRow.putItOnAPage')} onSwitch={onSwitch}>
      <StateMark
        mark={none ? 'stop' : 'look-at'}
        words={none ? t('intakeReviewRow.tooLong') : t('intakeReviewRow.needsAttention')}
      />
      <span className="min-w-0">
        {none
          ? t('intakeReviewRow.tooLongForAnyCode')
          : t('intakeReviewRow.cantReadThatMuchEven', { devices: namesListed(tooFine) })}
      </span>
    </TooLongLine>
  );
}

function TooLongLine({
  action,
  onSwitch,
  children,
}: {
  readonly action: string;
  readonly onSwitch: () => void;
  readonly children?: ReactNode;
}): ReactElement {
  return (
    <p className="m-0 mt-0.5 flex flex-wrap items-center gap-x-2 text-small">
      {children}
      <TextButton onClick={onSwitch}>{action}</TextButton>
    </p>
  );
}

/** Names of the devices that can't read it even in the hand. */
function tooFineFor(item: IntakeWords, devices: readonly DeviceView[]): readonly string[] {
  const size = chooseSize(item.words);
  return size.ok ? tooFineInTheHand(modulesOf(size.value.version), devices).map(({ name }) => name) : [];
}

function Corrections({ item: { repairs } }: { readonly item: IntakeLink }): ReactElement | null {
  if (repairs.length === 0) return null;
  return (
    <p className="m-0 mt-1 text-small text-done">
      {t('intakeReviewRow.corrected')} <RepairList repairs={repairs} />
    </p>
  );
}
