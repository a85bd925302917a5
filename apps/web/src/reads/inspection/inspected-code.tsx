import { routes, type CodeInspection, type KnownMaterial } from '@hapset/contract';
import { markedText, modulesOf, quietZoneModules, saidBy } from '@hapset/core';
import type { FoundCode } from '@hapset/readers';
import { useQuery } from '@tanstack/react-query';
import { useMemo, type ReactElement } from 'react';
import { Link } from 'react-router';
import { useSession } from '../../school/account/session.queries.js';
import { call } from '../../platform/api/client.js';
import { Panel } from '../../platform/design/panel.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { percent } from '../../platform/wording/figures.js';
import { saidSentence, saidTitles, textMarkWords } from '../../platform/wording/reading.js';
import { AdoptCode } from './adopt-code.js';
import { FollowLink } from './follow-link.js';
import type { ReadCode } from './read-code.js';
import { t } from '../words.js';

/** One code: its exact text, what a phone would do, whether it is one's own, and where it leads. */
export function InspectedCode({
  code,
  number,
}: {
  readonly code: ReadCode;
  readonly number: number | null;
}): ReactElement {
  const staff = useSession() !== undefined;
  const said = useMemo(() => saidBy(code.text), [code.text]);
  const careful =
    said.kind === 'other-address' || said.kind === 'bare-address' || (said.kind === 'link' && !said.secure);
  return (
    <li>
      <Panel
        mark={
          <StateMark
            mark={careful ? 'look-at' : 'done'}
            words={careful ? t('inspectedCode.needsAttention') : t('inspectedCode.understood')}
          />
        }
        title={
          number === null ? saidTitles[said.kind] : t('inspectedCode.text', { number, title: saidTitles[said.kind] })
        }
        {...(staff && { action: <AdoptCode text={code.text} said={said} /> })}
      >
        <ExactText text={code.text} />
        <p className="mt-2 mb-0 text-body">{saidSentence(said)}</p>
        {staff && <Own payload={code.text} />}
        {(said.kind === 'link' || said.kind === 'bare-address') && <FollowLink link={said.link} />}
        {code.found && <PictureFacts found={code.found} />}
      </Panel>
    </li>
  );
}

/** Letter by letter, with what can't be seen made visible. */
function ExactText({ text }: { readonly text: string }): ReactElement {
  const pieces = useMemo(() => markedText(text), [text]);
  const marks = [...new Set(pieces.flatMap(({ mark }) => mark ?? []))];
  return (
    <div>
      <p
        aria-label={t('inspectedCode.whatItSaysLetterBy')}
        className="m-0 max-h-60 overflow-auto rounded-small bg-band/60 px-3 py-2 font-mono text-row leading-relaxed wrap-anywhere whitespace-pre-wrap"
      >
        {pieces.map(({ text: piece, mark, code }, index) =>
          mark === null ? (
            <span key={index}>{piece}</span>
          ) : (
            <span key={index}>
              <mark
                title={`${textMarkWords[mark]}, ${code}`}
                className="mx-px rounded-fine bg-look-soft px-1 text-fine font-semibold text-look"
              >
                {mark === 'look-alike' ? `${piece} ${code}` : code}
              </mark>
              {mark === 'line-end' && piece === '\n' && '\n'}
            </span>
          ),
        )}
      </p>
      {marks.length > 0 && (
        <p className="mt-1 mb-0 text-small text-look">
          {t('inspectedCode.marked', { marks: marks.map((mark) => textMarkWords[mark]).join(', ') })}
        </p>
      )}
    </div>
  );
}

function Own({ payload }: { readonly payload: string }): ReactElement | null {
  const inspection = useQuery({
    queryKey: ['inspections', payload],
    queryFn: ({ signal }): Promise<CodeInspection> => call(routes.inspectCode, { body: { payload }, signal }),
  });
  if (!inspection.data) return null;
  const { known } = inspection.data;
  if (known.length === 0) return <p className="mt-1 mb-0 text-row text-muted">{t('inspectedCode.itIsNotOneOf')}</p>;
  return (
    <ul className="m-0 mt-1 list-none p-0 text-body">
      {known.map((material) => (
        <KnownRow key={material.materialId} material={material} />
      ))}
    </ul>
  );
}

function KnownRow({
  material: { materialId, title, exact, stations },
}: {
  readonly material: KnownMaterial;
}): ReactElement {
  return (
    <li>
      {t('inspectedCode.thisIs')}{' '}
      {stations.map(({ stationId, lessonId, lessonName, position }, index) => (
        <span key={stationId}>
          {index > 0 && t('inspectedCode.and')}
          <Link to={`/lessons/${lessonId}/stations/${stationId}`} className="font-semibold text-ink">
            {t('inspectedCode.stationOf', { position, lessonName })}
          </Link>
        </span>
      ))}
      {stations.length === 0 && (
        <>
          <Link to={`/shelf/${materialId}`} className="font-semibold text-ink">
            “{title}”
          </Link>{' '}
          {t('inspectedCode.onYourShelf')}
        </>
      )}
      {exact ? '.' : t('inspectedCode.itsCodeCarriesSomethingElse')}
    </li>
  );
}

/** In terms of the trade, as far as the picture tells. */
function PictureFacts({
  found: { version, level, unusedRepair, measured },
}: {
  readonly found: FoundCode;
}): ReactElement {
  const facts = [
    version === null ? '' : t('inspectedCode.versionModules', { version, modules: modulesOf(version) }),
    level === null ? '' : t('inspectedCode.errorCorrectionLevel', { level }),
    measured ? t('inspectedCode.contrast', { percent: percent(measured.contrast) }) : '',
    measured
      ? measured.quietZone >= quietZoneModules
        ? t('inspectedCode.quietZoneModulesOrMore', { quietZoneModules })
        : t('inspectedCode.quietZoneOfModules', { quietZone: measured.quietZone, quietZoneModules })
      : '',
    measured?.lightOnDark ? t('inspectedCode.lightOnDarkWhichMany') : '',
    unusedRepair === null ? '' : t('inspectedCode.ofItsErrorCorrectionUnused', { percent: percent(unusedRepair) }),
  ].filter((fact) => fact !== '');
  return <p className="mt-2 mb-0 border-t border-line pt-2 text-small text-muted">{facts.join(' · ')}.</p>;
}
