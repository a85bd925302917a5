/** Any code, from the camera, a picture or the clipboard: what it says exactly, where it leads, and what it depends on. */
import type { FoundCode } from '@hapset/readers';
import { useCallback, useEffect, useRef, useState, type DragEvent, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { ChooseFiles } from '../../platform/design/choose-file.js';
import { CameraReader } from '../reader/camera-reader.js';
import { findCodes } from '../reader/find-codes.js';
import { frameOfPicture } from '../reader/grey-frame.js';
import { PageHead } from '../../platform/design/page-head.js';
import type { ReadCode } from './read-code.js';
import { InspectedCode } from './inspected-code.js';
import { SeenPicture, type SeenPictureFacts } from './seen-picture.js';
import { t } from '../words.js';

type Status = 'ready' | 'reading' | 'nothing' | 'unreadable';

export function InspectPage(): ReactElement {
  const [camera, setCamera] = useState(false);
  const inspection = useInspection();
  const { codes, pictures, status, readPictures } = inspection;
  usePasted((pasted) => void readPictures(pasted), inspection.readText);
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    void readPictures([...event.dataTransfer.files]);
  };
  return (
    <>
      <PageHead title={t('inspectPage.inspectACode')} about={t('inspectPage.seeWhatACodeSays')} />
      <section
        onDragOver={(event) => event.preventDefault()}
        onDrop={drop}
        className="rounded-sheet border border-dashed border-line-strong px-4 py-4 sm:px-5"
      >
        {camera && (
          <div className="mb-3">
            <CameraReader onCodes={inspection.take} />
          </div>
        )}
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2 text-body">
          <Button tone={codes.length === 0 && !camera ? 'main' : 'plain'} onClick={() => setCamera(!camera)}>
            {camera ? t('inspectPage.stopTheCamera') : t('inspectPage.useTheCamera')}
          </Button>
          <ChooseFiles
            label={t('inspectPage.chooseAPicture')}
            accept="image/*"
            multiple
            onChoose={(files) => void readPictures(files)}
          />
          <span className="text-muted">{t('inspectPage.orDropOneHereOr')}</span>
          {codes.length > 0 && (
            <Button tone="quiet" onClick={inspection.begin}>
              {t('inspectPage.startAgain')}
            </Button>
          )}
        </div>
        <p className="mt-2 mb-0 text-row font-semibold empty:hidden" role="status">
          {statusWords(status, codes.length)}
        </p>
        {pictures.length > 0 && <SeenPictures pictures={pictures} codes={codes} />}
      </section>
      <ul className="m-0 mt-3 flex list-none flex-col gap-3 p-0" aria-label={t('inspectPage.codesThatWereRead')}>
        {codes.map((code, index) => (
          <InspectedCode key={code.text} code={code} number={codes.length > 1 ? index + 1 : null} />
        ))}
      </ul>
    </>
  );
}

function SeenPictures({
  pictures,
  codes,
}: {
  readonly pictures: readonly SeenPictureFacts[];
  readonly codes: readonly ReadCode[];
}): ReactElement {
  return (
    <div className="mt-3 flex flex-wrap gap-3">
      {pictures.map((seen, index) => (
        <SeenPicture key={index} seen={seen} numberOf={(text) => codes.findIndex((code) => code.text === text) + 1} />
      ))}
    </div>
  );
}

interface Inspection {
  readonly codes: readonly ReadCode[];
  /** Those in which a code was found. */
  readonly pictures: readonly SeenPictureFacts[];
  readonly status: Status;
  /** Forgets what was read. */
  readonly begin: () => void;
  /** Codes that the camera sees, added to the others. */
  readonly take: (found: readonly FoundCode[]) => void;
  readonly readPictures: (pictures: readonly Blob[]) => Promise<void>;
  readonly readText: (text: string) => void;
}

function useInspection(): Inspection {
  const [codes, setCodes] = useState<readonly ReadCode[]>([]);
  const [pictures, setPictures] = useState<readonly SeenPictureFacts[]>([]);
  const [status, setStatus] = useState<Status>('ready');
  useEffect(() => () => pictures.forEach(({ address }) => URL.revokeObjectURL(address)), [pictures]);
  const begin = useCallback((): void => {
    setCodes([]);
    setPictures([]);
  }, []);
  const take = useCallback(
    (found: readonly FoundCode[]): void =>
      setCodes((before) => [
        ...before,
        ...distinct(found)
          .filter(({ text }) => !before.some((known) => known.text === text))
          .map((code) => ({ text: code.text, found: code })),
      ]),
    [],
  );
  const readPictures = useCallback(
    async (wanted: readonly Blob[]): Promise<void> => {
      if (wanted.length === 0) return;
      setStatus('reading');
      begin();
      try {
        const seen = await Promise.all(wanted.map(lookAt));
        const found = seen.flatMap(({ codes: inIt }) => inIt);
        setPictures(seen.filter(({ codes: inIt }) => inIt.length > 0));
        setCodes(distinct(found).map((code) => ({ text: code.text, found: code })));
        setStatus(found.length === 0 ? 'nothing' : 'ready');
      } catch {
        setStatus('unreadable');
      }
    },
    [begin],
  );
  const readText = (text: string): void => {
    begin();
    setCodes([{ text, found: null }]);
    setStatus('ready');
  };
  return { codes, pictures, status, begin, take, readPictures, readText };
}

function statusWords(status: Status, count: number): string {
  switch (status) {
    case 'reading':
      return t('inspectPage.readingThePicture');
    case 'nothing':
      return t('inspectPage.noCodeWasFoundTake');
    case 'unreadable':
      return t('inspectPage.thisFileCantBeRead');
    case 'ready':
      return count === 0 ? '' : t('inspectPage.codesRead', { count });
  }
}

async function lookAt(picture: Blob): Promise<SeenPictureFacts> {
  const frame = await frameOfPicture(picture);
  return {
    address: URL.createObjectURL(picture),
    widthPx: frame.widthPx,
    heightPx: frame.heightPx,
    codes: await findCodes(frame),
  };
}

/** The same text twice is one code for who reads. */
function distinct(found: readonly FoundCode[]): readonly FoundCode[] {
  return found.filter(({ text }, index) => found.findIndex((other) => other.text === text) === index);
}

/** Ctrl+V anywhere on the page, but for fields. */
function usePasted(onPictures: (pictures: readonly Blob[]) => void, onText: (text: string) => void): void {
  const latest = useRef({ onPictures, onText });
  useEffect(() => {
    latest.current = { onPictures, onText };
  });
  useEffect(() => {
    const paste = (event: ClipboardEvent): void => {
      if (event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement) return;
      const pictures = [...(event.clipboardData?.files ?? [])].filter(({ type }) => type.startsWith('image/'));
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (pictures.length > 0) latest.current.onPictures(pictures);
      else if (text !== '') latest.current.onText(text);
    };
    document.addEventListener('paste', paste);
    return () => document.removeEventListener('paste', paste);
  }, []);
}
