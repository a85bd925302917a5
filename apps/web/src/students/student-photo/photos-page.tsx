/** Photos for student cards: out of a ZIP archive, a folder or single files, matched by id or name, checked, and added. */
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { ChooseFiles } from '../../platform/design/choose-file.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { PageHead } from '../../platform/design/page-head.js';
import { Panel } from '../../platform/design/panel.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { useSession } from '../../school/account/session.queries.js';
import { schoolQuery } from '../../school/settings/school.queries.js';
import { t } from '../words.js';
import { cutPhoto } from './cut-photo.js';
import { PhotoRow } from './photo-row.js';
import { photoFilesOf } from './photo-files.js';
import { matchPhotos, useAddPhoto } from './photos.queries.js';
import type { ChosenPhoto } from './chosen-photo.js';

export function PhotosPage(): ReactElement {
  const mayRule = useSession()?.role !== 'teacher';
  const school = useQuery(schoolQuery);
  return (
    <>
      <PageHead
        title={t('photos.photos')}
        trail={<Link to="/school/students">{t('photos.students')}</Link>}
        about={t('photos.about')}
      />
      {school.isPending && <Loading rows={3} label={t('photos.loading')} />}
      {hasFailed(school) && <Failed words={wordsFor(school.error)} onRetry={() => void school.refetch()} />}
      {school.data && (mayRule && school.data.studentPhotos ? <Adding /> : <Off />)}
    </>
  );
}

function Off(): ReactElement {
  return <Empty title={t('photos.off')}>{t('photos.administratorTurnsOn')}</Empty>;
}

function Adding(): ReactElement {
  const { photos, problem, isReading, cut, choose, change, send, sent } = usePhotos();
  const ready = photos.filter(({ student, state }) => student !== null && state !== 'added' && state !== 'broken');
  return (
    <div className="flex flex-col gap-4">
      <section className="rounded-sheet border border-dashed border-line-strong px-4 py-4 sm:px-5">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <ChooseFiles
            label={t('photos.choose')}
            accept=".zip,image/jpeg,image/png,image/webp"
            multiple
            onChoose={(files) => void choose(files)}
          />
          <ChooseFiles label={t('photos.chooseFolder')} folder onChoose={(files) => void choose(files)} />
          <span className="text-body text-muted">{t('photos.howNamed')}</span>
        </div>
        {problem !== null && <Alert words={problem} className="mt-2 mb-0" />}
        {cut && <Alert words={t('photos.cut')} className="mt-2 mb-0" />}
        {isReading && <Loading rows={2} label={t('photos.reading')} />}
      </section>
      {photos.length > 0 && (
        <Panel title={t('photos.found', { count: photos.length })} aside={t('photos.matched', { count: ready.length })}>
          <ul className="m-0 list-none p-0" aria-label={t('photos.photos')}>
            {photos.map((photo) => (
              <PhotoRow key={photo.name} photo={photo} onChange={(next) => change(photo.name, next)} />
            ))}
          </ul>
          {ready.length > 0 && (
            <Button tone="main" className="mt-3" disabled={sent !== null} onClick={() => void send(ready)}>
              {sent === null ? t('photos.add', { count: ready.length }) : t('photos.adding', { sent })}
            </Button>
          )}
        </Panel>
      )}
    </div>
  );
}

interface Photos {
  readonly photos: readonly ChosenPhoto[];
  readonly problem: string | null;
  readonly isReading: boolean;
  readonly cut: boolean;
  readonly choose: (files: readonly File[]) => Promise<void>;
  readonly change: (name: string, next: Partial<ChosenPhoto>) => void;
  readonly send: (ready: readonly ChosenPhoto[]) => Promise<void>;
  /** How many are sent while they are; null else. */
  readonly sent: number | null;
}

function usePhotos(): Photos {
  const [photos, setPhotos] = useState<readonly ChosenPhoto[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [isReading, setReading] = useState(false);
  const [cut, setCut] = useState(false);
  const [sent, setSent] = useState<number | null>(null);
  const add = useAddPhoto();
  const notice = useNotice();
  const change = (name: string, next: Partial<ChosenPhoto>): void =>
    setPhotos((all) => all.map((photo) => (photo.name === name ? { ...photo, ...next } : photo)));
  const choose = async (chosen: readonly File[]): Promise<void> => {
    setProblem(null);
    setReading(true);
    try {
      const found = await photoFilesOf(chosen);
      setCut(found.cut);
      if (found.files.length === 0) return setProblem(t('photos.none'));
      const { students } = await matchPhotos(found.files.map(({ name }) => name));
      setPhotos(
        found.files.map((file, index) => ({ ...file, student: students[index] ?? null, at: 0.5, state: 'chosen' })),
      );
    } catch (error) {
      setProblem(error instanceof Error && error.name === 'ApiError' ? wordsFor(error) : t('photos.unreadable'));
    } finally {
      setReading(false);
    }
  };
  const send = async (ready: readonly ChosenPhoto[]): Promise<void> => {
    let added = 0;
    for (const [index, { name, picture, student, at }] of ready.entries()) {
      setSent(index);
      try {
        await add.mutateAsync({ studentId: student?.id ?? '', picture: await cutPhoto(picture, at) });
        change(name, { state: 'added' });
        added += 1;
      } catch {
        change(name, { state: 'broken' });
      }
    }
    setSent(null);
    notice({ words: t('photos.added', { count: added }) });
  };
  return { photos, problem, isReading, cut, choose, change, send, sent };
}
