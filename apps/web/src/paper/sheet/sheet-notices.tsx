/** What is not right with the sheets, kind after kind, each with the names of its stations. */
import { sheetAdvice, sheetWarnings, type SheetNotice, type SheetWarning } from '@hapset/contract';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { StateMark } from '../../platform/design/state-mark.js';
import { noticeSentence, tooSmallHelp, warningTitles } from '../../platform/wording/sheets.js';
import { t } from '../words.js';

const shownAtOnce = 4;
const stopping: readonly SheetWarning[] = ['locked', 'not-opening', 'no-code', 'address-not-reachable'];

/** Whether students get nothing at all. */
export function isStopping(warning: SheetWarning): boolean {
  return stopping.includes(warning);
}

interface Props {
  readonly notices: readonly SheetNotice[];
  readonly lessonId: string | null;
  /** Where what is named is looked at; left out for stations and materials. */
  readonly addressOf?: (notice: SheetNotice) => string;
}

export function SheetNotices({
  notices,
  lessonId,
  addressOf = (notice) => addressOfPlace(notice, lessonId),
}: Props): ReactElement | null {
  if (notices.length === 0) return null;
  return (
    <ul
      className="m-0 flex list-none flex-col gap-2.5 p-0 text-row"
      aria-label={t('sheetNotices.needsAttentionBeforePrinting')}
    >
      {sheetWarnings.map((warning) => {
        const those = notices.filter((notice) => notice.warning === warning);
        return those.length === 0 ? null : (
          <Group key={warning} warning={warning} notices={those} addressOf={addressOf} />
        );
      })}
    </ul>
  );
}

function Group({
  warning,
  notices,
  addressOf,
}: {
  readonly warning: SheetWarning;
  readonly notices: readonly SheetNotice[];
  readonly addressOf: (notice: SheetNotice) => string;
}): ReactElement {
  const rest = notices.length - shownAtOnce;
  const help = warning === 'too-small' && notices[0] ? tooSmallHelp(notices[0]) : '';
  return (
    <li className="flex items-start gap-2.5">
      <NoticeMark warning={warning} />
      <div className="min-w-0">
        <strong>{warningTitles[warning]}</strong>
        {notices.slice(0, shownAtOnce).map((notice) => (
          <p key={`${notice.materialId} ${notice.stationId} ${notice.field}`} className="m-0 wrap-anywhere">
            <Link to={addressOf(notice)} className="font-semibold text-ink">
              {notice.name}
            </Link>
            : {noticeSentence(notice)}
          </p>
        ))}
        {rest > 0 && <p className="m-0 text-muted">{t('sheetNotices.andMore', { rest })}</p>}
        {help !== '' && <p className="m-0 text-muted">{help}</p>}
      </div>
    </li>
  );
}

function NoticeMark({ warning }: { readonly warning: SheetWarning }): ReactElement {
  if (sheetAdvice.includes(warning)) return <StateMark mark="not-yet" words={t('sheetNotices.toKnow')} />;
  return <StateMark mark={isStopping(warning) ? 'stop' : 'look-at'} words={t('sheetNotices.warning')} />;
}

/** Where what is named is looked at. */
export function addressOfPlace({ stationId, materialId }: SheetNotice, lessonId: string | null): string {
  return stationId !== null && lessonId !== null
    ? `/lessons/${lessonId}/stations/${stationId}`
    : `/shelf/${materialId}`;
}
