import type { MaterialPage } from '@hapset/contract';
import { guessedEncoding, hostNameOf, readerEngineNames } from '@hapset/core';
import { useMemo, type ReactElement } from 'react';
import { namesListed, percent } from '../../platform/wording/figures.js';
import { differenceSentence, readerWords } from '../../platform/wording/rehearsal.js';
import { CodePicture } from '../../code/symbol/code-picture.js';
import { t } from '../words.js';

/** The code in sight, what it says letter by letter, and what it depends on. */
export function CodeAside({ page, name }: { readonly page: MaterialPage; readonly name: string }): ReactElement {
  const { code, material, rehearsal } = page;
  return (
    <aside className="self-start md:sticky md:top-4">
      <div className="rounded-sheet border border-line bg-print p-2.5">
        {code ? (
          <CodePicture
            drawing={code.drawing}
            label={t('codeAside.codeOf', { name })}
            className="mx-auto block w-full max-w-[280px]"
          />
        ) : (
          <p className="m-0 flex aspect-square items-center justify-center p-4 text-center text-row text-muted">
            {t('codeAside.thisIsTooLongFor')}
          </p>
        )}
      </div>
      <div className="px-1">
        <h2 className="mt-3.5 mb-1 text-group">{t('codeAside.whatThisCodeSays')}</h2>
        <p className="m-0 max-h-36 overflow-auto rounded-small bg-band/60 px-3 py-2 font-mono text-small leading-snug break-words whitespace-pre-wrap">
          {code?.payload ?? material.words ?? material.link ?? material.title}
        </p>
        <p className="mt-1.5 mb-0 text-small text-muted">{agreement(rehearsal)}</p>
        {code && <Guessed text={code.payload} />}
        {page.look.judgement && <SpareRepair share={page.look.judgement.spare.spare} />}
        <h2 className="mt-4 mb-1 text-group">{t('codeAside.worksAsLongAs')}</h2>
        <p className="m-0 text-row text-muted">{lifespan(page)}</p>
      </div>
    </aside>
  );
}

/** Some readers ignore that the code names its encoding. */
function Guessed({ text }: { readonly text: string }): ReactElement | null {
  const guessed = useMemo(() => guessedEncoding(text), [text]);
  if (guessed === null) return null;
  return (
    <details className="mt-1 text-small text-muted">
      <summary className="w-fit cursor-pointer py-1">{t('codeAside.whatACarelessReaderMay')}</summary>
      <p className="m-0 mt-1 max-h-28 overflow-auto font-mono text-note wrap-anywhere">{guessed}</p>
      <p className="mt-1 mb-0">{t('codeAside.theCodeNamesItsText')}</p>
    </details>
  );
}

/** What creases and stains may still take. */
function SpareRepair({ share }: { readonly share: number }): ReactElement {
  return (
    <p className="mt-1 mb-0 text-small text-muted">
      {share >= 1
        ? t('codeAside.allErrorCorrectionIsLeft')
        : t('codeAside.ofItsErrorCorrectionIs', { percent: percent(Math.max(0, share)) })}
    </p>
  );
}

/** What the readers make of the drawing, with its look. */
function agreement({ results, devices, unreadBy }: MaterialPage['rehearsal']): string {
  if (results === null || unreadBy === null) return t('codeAside.exactlyYourContentNothingIn');
  const misread =
    results.find((result) => result.misread !== null) ??
    results
      .flatMap(({ deviceId, others }) => others.map((other) => ({ deviceId, misread: other.misread })))
      .find(({ misread: other }) => other !== null);
  if (misread?.misread) {
    const device = devices.find((candidate) => candidate.id === misread.deviceId);
    return t('codeAside.read', {
      device: device?.name ?? t('codeAside.aDevice'),
      difference: differenceSentence(misread.misread),
    });
  }
  const reading = readerEngineNames.length - unreadBy.length;
  if (reading === readerEngineNames.length) return t('codeAside.allReadersAgreeLetterBy', { count: reading });
  const unread = namesListed(unreadBy.map((engine) => readerWords[engine]));
  return t('codeAside.cantReadItEvenFlat', { unread });
}

/** The honest sentence about what the code depends on. */
function lifespan({ material: { link, pageAddress, shownUntil }, code }: MaterialPage): string {
  if (code?.carry === 'short-link' && link !== null)
    return t('codeAside.thisServerRunsAtAnd', { host: hostIn(code.payload) });
  if (pageAddress !== null)
    return shownUntil === null
      ? t('codeAside.thisServerRunsAtThe', { host: hostIn(pageAddress) })
      : t('codeAside.thisServerRunsAtUntil', { host: hostIn(pageAddress), shownUntil });
  if (link === null) return t('codeAside.thePaperLastsTheWords');
  return t('codeAside.thePageStaysAtThe', { host: hostIn(link) });
}

function hostIn(address: string): string {
  return hostNameOf(address) ?? address;
}
