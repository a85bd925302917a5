/** For students on devices without a scanner: it only reads, shows what a code says in large letters, and keeps nothing. */
import { markedText, saidBy, type Said } from '@hapset/core';
import type { StudentTextKey } from '@hapset/student-texts';
import type { FoundCode } from '@hapset/readers';
import { useEffect, useState, type ReactElement } from 'react';
import { ChooseFile } from '../../platform/design/choose-file.js';
import { CameraReader, type CameraWords } from '../../reads/reader/camera-reader.js';
import { findCodes } from '../../reads/reader/find-codes.js';
import { frameOfPicture } from '../../reads/reader/grey-frame.js';
import { ReadAloud } from './read-aloud.js';
import { LanguageChoice, StudentLanguageProvider, useStudentLanguage } from './student-language.js';

const large =
  'inline-flex min-h-13 w-full items-center justify-center rounded-sheet px-5 py-3 text-part font-semibold no-underline break-all';

export function StudentReaderPage(): ReactElement {
  return (
    <StudentLanguageProvider>
      <Reader />
    </StudentLanguageProvider>
  );
}

function Reader(): ReactElement {
  const { t } = useStudentLanguage();
  const [texts, setTexts] = useState<readonly string[]>([]);
  const [looking, setLooking] = useState(false);
  const [trouble, setTrouble] = useState<StudentTextKey | null>(null);
  useOwnManifest(t('readACode'));
  const readPicture = async (picture: File): Promise<void> => {
    setTrouble(null);
    try {
      const found = textsOf(await findCodes(await frameOfPicture(picture)));
      setTexts(found);
      if (found.length === 0) setTrouble('noCode');
    } catch {
      setTrouble('notAPicture');
    }
  };
  return (
    <main className="mx-auto flex min-h-screen w-full max-w-[560px] flex-col gap-4 px-4 pt-5 pb-10">
      <h1 className="m-0 text-page">{t('readACode')}</h1>
      {texts.length === 0 ? (
        <>
          {looking ? (
            <CameraReader words={cameraWords(t)} onCodes={(codes) => setTexts(textsOf(codes))} />
          ) : (
            <button type="button" onClick={() => setLooking(true)} className={`${large} border-0 bg-ink text-sheet`}>
              {t('useCamera')}
            </button>
          )}
          <div className="flex min-h-11 flex-wrap items-center gap-3 text-panel">
            <ChooseFile label={t('choosePicture')} accept="image/*" onChoose={(picture) => void readPicture(picture)} />
          </div>
          <p role="status" className="m-0 text-panel font-semibold empty:hidden">
            {trouble && t(trouble)}
          </p>
        </>
      ) : (
        <Results texts={texts} onMore={() => setTexts([])} />
      )}
      <LanguageChoice />
    </main>
  );
}

/** Each text once, in the order in which they were found. */
function textsOf(codes: readonly FoundCode[]): readonly string[] {
  return [...new Set(codes.map(({ text }) => text))];
}

/** All codes of the picture: which one is meant, the student decides. */
function Results({ texts, onMore }: { readonly texts: readonly string[]; readonly onMore: () => void }): ReactElement {
  const { t } = useStudentLanguage();
  const many = texts.length > 1;
  return (
    <div aria-live="polite" className="flex flex-col gap-6">
      {many && <p className="m-0 text-panel font-semibold">{t('codesFound', { count: texts.length })}</p>}
      {texts.map((text, index) => (
        <Result
          key={text}
          text={text}
          label={many ? t('whatOneSays', { number: index + 1, total: texts.length }) : t('whatItSays')}
        />
      ))}
      <button type="button" onClick={onMore} className={`${large} border border-line-strong bg-sheet text-ink`}>
        {t('readAnother')}
      </button>
    </div>
  );
}

function Result({ text, label }: { readonly text: string; readonly label: string }): ReactElement {
  const { t } = useStudentLanguage();
  const said = saidBy(text);
  return (
    <section aria-label={label} className="flex flex-col gap-4">
      <div className="rounded-sheet border border-line bg-sheet px-5 py-4">
        <p className="m-0 text-group text-muted">{t(saidTitles[said.kind])}</p>
        <p className="mt-1 mb-0 text-answer leading-snug break-words whitespace-pre-wrap" dir="auto">
          {plainText(text, said, t('noPassword'))}
        </p>
      </div>
      <Way text={text} said={said} />
    </section>
  );
}

/** The host of a link in plain sight; the password of a network; everything else as it is, without what can't be seen. */
function plainText(text: string, said: Said, noPassword: string): string {
  if (said.kind === 'network')
    return said.password === '' ? `${said.name}\n${noPassword}` : `${said.name}\n${said.password}`;
  if (said.kind === 'contact')
    return [`${said.givenName} ${said.familyName}`.trim() || said.organisation, said.phone, said.email, said.webPage]
      .filter((part) => part !== '')
      .join('\n');
  if (said.kind === 'event')
    return [said.event.title, said.event.place, said.event.about].filter((part) => part !== '').join('\n');
  return markedText(text)
    .filter(({ mark }) => mark !== 'invisible')
    .map(({ text: piece }) => piece)
    .join('');
}

/** The way on, where there is one: never taken by itself. */
function Way({ text, said }: { readonly text: string; readonly said: Said }): ReactElement | null {
  const { t } = useStudentLanguage();
  switch (said.kind) {
    case 'link':
    case 'bare-address':
      return (
        <a href={said.link} target="_blank" rel="noreferrer" className={`${large} bg-ink text-sheet`}>
          {t(playable.test(new URL(said.link).pathname) ? 'playHost' : 'openHost', { host: said.host })}
        </a>
      );
    case 'place':
    case 'e-mail':
    case 'phone':
    case 'text-message':
      return (
        <a href={text.trim()} rel="noreferrer" className={`${large} bg-ink text-sheet`}>
          {t(wayWords[said.kind])}
        </a>
      );
    case 'other-address':
      return <p className="m-0 text-panel">{t('noWebPage')}</p>;
    case 'contact':
    case 'event':
    case 'network':
      return null;
    case 'words':
      return <ReadAloud text={text} className={`${large} border-0 bg-ink text-sheet`} />;
  }
}

/** Sounds and films by what their names end in. */
const playable = /\.(?:mp3|m4a|aac|oga|ogg|opus|wav|flac|mp4|m4v|webm|mov)$/i;

const wayWords = {
  place: 'showOnMap',
  'e-mail': 'writeEmail',
  phone: 'call',
  'text-message': 'writeMessage',
} as const satisfies Record<string, StudentTextKey>;

const saidTitles: Readonly<Record<Said['kind'], StudentTextKey>> = {
  link: 'link',
  'bare-address': 'bareAddress',
  'other-address': 'otherAddress',
  contact: 'contact',
  event: 'event',
  place: 'place',
  'e-mail': 'email',
  phone: 'phone',
  'text-message': 'textMessage',
  network: 'network',
  words: 'words',
};

function cameraWords(t: (key: StudentTextKey) => string): CameraWords {
  return {
    sees: t('cameraSees'),
    lightOn: t('lightOn'),
    lightOff: t('lightOff'),
    troubles: {
      insecure: t('cameraInsecure'),
      refused: t('cameraRefused'),
      none: t('cameraNone'),
      busy: t('cameraBusy'),
    },
  };
}

/** Installed, it opens here and not where staff work. */
function useOwnManifest(title: string): void {
  useEffect(() => {
    document.title = title;
  }, [title]);
  useEffect(() => {
    const link = document.querySelector<HTMLLinkElement>('link[rel="manifest"]');
    const before = link?.getAttribute('href') ?? null;
    link?.setAttribute('href', '/reader.webmanifest');
    return () => {
      if (before !== null) link?.setAttribute('href', before);
    };
  }, []);
}
