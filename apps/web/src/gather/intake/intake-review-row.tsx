/** One of the pasted things: what it was understood as, what was repaired, and what can be chosen otherwise. */
import type { DeviceView } from '@hapset/contract';
import {
  chooseSize,
  describeAddress,
  linkKinds,
  modulesOf,
  recogniseKind,
  tooFineInTheHand,
  type IntakeItem,
  type IntakeLink,
  type IntakeWords,
  type LinkKind,
  type RepairKind,
  type ServiceCatalogue,
} from '@hapset/core';
import { memo, useState, type ReactElement, type ReactNode } from 'react';
import { StateMark } from '../../platform/design/state-mark.js';
import { KindIcon } from '../material/kind-icon.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { repairSentence, repairWords } from '../../platform/wording/repairs.js';
import { roleSentences, withoutStars } from '../../platform/wording/services.js';
import { namesListed } from '../../platform/wording/scanners.js';
import { fitsNoCode, type IntakeRowState } from './new-materials.js';
import { CheckBox, WordSelect } from '../../platform/design/inputs.js';

import { TextButton } from '../../platform/design/button.js';

export interface ReviewRowProps {
  readonly row: IntakeRowState;
  readonly index: number;
  readonly devices: readonly DeviceView[];
  readonly catalogue: ServiceCatalogue;
  readonly onTakeBack: (pasted: string, kind: RepairKind) => void;
  readonly onKeep: (index: number) => void;
  readonly onKind: (pasted: string, kind: LinkKind) => void;
  /** Takes the student's link in the place of the one given; null takes that back. */
  readonly onStudentLink: (pasted: string, link: string | null) => void;
  /** Puts words on a page of their own, or back into the code. */
  readonly onPage: (pasted: string) => void;
}

/** Drawn again only when it changed itself: scrolling through thousands draws new rows alone. */
export const ReviewRow = memo(function ReviewRow(props: ReviewRowProps): ReactElement {
  const { row, index, catalogue, onTakeBack, onKeep } = props;
  const { item } = row;
  const beside = [item.instruction, item.tags.length > 0 ? item.tags.join(', ') : null].filter((part) => part !== null);
  return (
    <div className={`flex flex-wrap gap-x-3 gap-y-1 px-4 py-2.5 sm:flex-nowrap ${row.taken ? '' : 'text-muted'}`}>
      <span className="mt-0.5 shrink-0">
        {item.kind === 'unusable' ? (
          <StateMark mark="stop" words="Cannot be used" />
        ) : (
          <KindIcon kind={item.kind === 'words' ? 'message' : kindOf(row, item, catalogue)} />
        )}
      </span>
      <div className="min-w-0 flex-1">
        {item.kind === 'link' ? (
          <LinkText {...props} item={item} />
        ) : (
          <ItemText item={item} row={row} onPage={() => props.onPage(item.pasted)} devices={props.devices} />
        )}
        {beside.length > 0 && <p className="m-0 text-note text-muted">{beside.join(' · ')}</p>}
        <Repairs row={row} onTakeBack={(kind) => onTakeBack(item.pasted, kind)} />
      </div>
      {row.duplicate !== null && (
        <label className="flex min-h-8 shrink-0 items-center gap-2 text-small">
          {row.duplicate === 'already-here' ? 'Here already' : 'Twice in this list'}
          <span className="font-semibold text-ink">
            <CheckBox checked={row.taken} onChange={() => onKeep(index)} className="mr-1.5 align-[-2px]" />
            add it all the same
          </span>
        </label>
      )}
    </div>
  );
});

function kindOf({ kind }: IntakeRowState, item: IntakeLink, catalogue: ServiceCatalogue): LinkKind {
  return kind ?? recogniseKind(item.link, catalogue);
}

/** The link with its kind, which can be chosen otherwise, and with what its address gives away. */
function LinkText({
  row,
  item,
  catalogue,
  onKind,
  onStudentLink,
}: ReviewRowProps & { readonly item: IntakeLink }): ReactElement {
  const described = describeAddress(item.link, catalogue);
  const role = described?.address?.role ?? 'student';
  const kind = kindOf(row, item, catalogue);
  return (
    <>
      {item.title !== null && <p className="m-0 text-body font-semibold">{item.title}</p>}
      <p className="m-0 font-mono text-small break-all">{item.link}</p>
      <p className="m-0 flex flex-wrap items-center gap-x-1.5 text-note text-muted">
        <KindChoice link={item.link} kind={kind} onKind={(choice) => onKind(item.pasted, choice)} />
        {described && <span>{described.service.name}</span>}
      </p>
      {described && role !== 'student' && (
        <OtherRole role={role} item={item} described={described} onStudentLink={onStudentLink} />
      )}
      {row.insteadOf !== null && (
        <p className="m-0 mt-0.5 flex flex-wrap items-center gap-x-2 text-small">
          <span className="text-done">
            The student’s link, in the place of <span className="font-mono break-all">{row.insteadOf}</span>
          </span>
          <TextButton onClick={() => onStudentLink(item.pasted, null)}>Take back</TextButton>
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
  onStudentLink,
}: Pick<ReviewRowProps, 'onStudentLink'> & {
  readonly item: IntakeLink;
  readonly role: keyof typeof roleSentences;
  readonly described: NonNullable<ReturnType<typeof describeAddress>>;
}): ReactElement {
  const { studentLink, address } = described;
  return (
    <p className="m-0 mt-0.5 flex flex-wrap items-center gap-x-2 text-small">
      <StateMark mark="look-at" words="To be looked at" />
      <span className="min-w-0 flex-1 basis-52 sm:flex-initial sm:basis-auto">
        {roleSentences[role]} {studentLink === null && address?.steps?.map(withoutStars).join(' ')}
      </span>
      {studentLink !== null && (
        <TextButton onClick={() => onStudentLink(item.pasted, studentLink)}>Use the student’s link</TextButton>
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
      aria-label={`Kind of ${link}`}
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

function ItemText({
  item,
  row,
  onPage,
  devices,
}: {
  readonly item: Exclude<IntakeItem, IntakeLink>;
  readonly row: IntakeRowState;
  readonly onPage: () => void;
  readonly devices: readonly DeviceView[];
}): ReactElement {
  if (item.kind === 'words') {
    return (
      <>
        <p className="m-0 text-body break-words">{item.words}</p>
        <p className="m-0 text-note text-muted">
          {item.title !== null && `${item.title} · `}
          {row.onPage
            ? 'Written page: the code carries its address.'
            : 'Message: these words go into the code themselves.'}
        </p>
        <TooLong item={item} onPage={row.onPage} onSwitch={onPage} devices={devices} />
      </>
    );
  }
  return (
    <>
      <p className="m-0 font-mono text-small break-all">{item.pasted}</p>
      <p className="m-0 text-small text-stop">
        {item.problem === 'scheme-not-web'
          ? 'Phones open only addresses that begin with http or https.'
          : 'This is no whole address. Copy it once more from the address bar.'}
      </p>
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
  if (onPage) return <TooLongLine action="Put it into the code" onSwitch={onSwitch} />;
  if (!none && tooFine.length === 0) return null;
  return (
    <TooLongLine action="Put it on a page" onSwitch={onSwitch}>
      <StateMark mark={none ? 'stop' : 'look-at'} words={none ? 'Too long' : 'To be looked at'} />
      <span className="min-w-0">
        {none ? 'No code holds that much.' : `Even in the hand ${namesListed(tooFine)} can’t read that much.`}
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

function Repairs({
  row,
  onTakeBack,
}: {
  readonly row: IntakeRowState;
  readonly onTakeBack: (kind: RepairKind) => void;
}): ReactElement | null {
  const repairs = row.item.kind === 'link' ? row.item.repairs : [];
  if (repairs.length + row.takenBack.length === 0) return null;
  return (
    <ul aria-label="Repairs" className="m-0 mt-1 flex list-none flex-wrap gap-x-4 gap-y-1 p-0 text-small">
      {repairs.map((repair) => {
        const { words, what } = repairSentence(repair);
        return (
          <li key={repair.kind} className="flex items-center gap-1.5">
            <span className="text-done">
              Repaired: {words} {what !== '' && <span className="font-mono break-all">{what}</span>}
            </span>
            <TextButton onClick={() => onTakeBack(repair.kind)}>Take back</TextButton>
          </li>
        );
      })}
      {row.takenBack.map((kind) => (
        <li key={kind} className="flex items-center gap-1.5">
          <span className="text-muted">Left as it was: {repairWords[kind]}</span>
          <TextButton onClick={() => onTakeBack(kind)}>Repair again</TextButton>
        </li>
      ))}
    </ul>
  );
}
