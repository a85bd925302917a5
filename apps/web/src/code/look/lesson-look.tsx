/** One look for all stations of a lesson, in one click; those with a look of their own keep it until they are asked to join. */
import { plainLookChoice, routes, type BenchView, type LookChoice } from '@hapset/contract';
import { useMutation } from '@tanstack/react-query';
import { useMemo, type ReactElement } from 'react';
import { call } from '../../platform/api/client.js';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { useNotice } from '../../platform/design/notice.js';
import { failing } from '../../platform/wording/looks.js';
import { ChooseLook } from './choose-look.js';
import { useChooseLessonLook } from './look.queries.js';
import { sampleOfLesson } from './sample.js';
import { useMaterialsChanged } from '../../platform/api/materials-changed.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

function whoHas(stations: number, withOwn: number): string {
  if (withOwn > 0) return t('lessonLook.everyStationHasThisLook', { count: withOwn });
  return stations === 1 ? t('lessonLook.theStationHasThisLook') : t('lessonLook.allStationsHaveThisLook', { stations });
}

export default function LessonLook({
  bench,
  onClose,
}: {
  readonly bench: BenchView;
  readonly onClose: () => void;
}): ReactElement {
  const { lesson, rows } = bench;
  const choose = useChooseLessonLook(lesson.id);
  const notice = useNotice();
  const sendChange = useSendChange();
  const sample = useMemo(() => sampleOfLesson(bench), [bench]);
  const own = rows.filter(({ material }) => material.look !== null);
  const take = (look: LookChoice, fails = ''): void =>
    sendChange(choose, look, {
      onSuccess: () => {
        onClose();
        notice({
          words: whoHas(rows.length, own.length) + failing(fails),
          undo: () => sendChange(choose, lesson.look),
        });
      },
    });
  return (
    <Dialog title={t('lessonLook.lookOfTheLesson')} about={t('lessonLook.chooseALookForAll')} wide onClose={onClose}>
      {sample ? (
        <ChooseLook sample={sample} now={lesson.look} disabled={choose.isPending} onChoose={take} />
      ) : (
        <p className="m-0 text-body">{t('lessonLook.thisLessonHasNoCodes')}</p>
      )}
      {own.length > 0 && <OwnLooks bench={bench} />}
      {lesson.look !== null && (
        <p className="mt-4 mb-0 flex flex-wrap items-center gap-3 border-t border-line pt-4 text-row text-muted">
          <span className="flex-1">
            {lesson.look === plainLookChoice ? t('lessonLook.thisLessonIsSetTo') : t('lessonLook.thisLessonHasItsOwn')}
          </span>
          <Button disabled={choose.isPending} onClick={() => take(null)}>
            {t('lessonLook.useTheSchoolsLook')}
          </Button>
        </p>
      )}
    </Dialog>
  );
}

/** Stations whose material goes its own way. */
function OwnLooks({ bench: { rows } }: { readonly bench: BenchView }): ReactElement {
  const changed = useMaterialsChanged();
  const notice = useNotice();
  const sendChange = useSendChange();
  const own = rows.filter(({ material }) => material.look !== null);
  const set = async (
    looks: readonly { readonly id: string; readonly version: number; readonly look: LookChoice }[],
  ): Promise<void> => {
    for (const { id, version, look } of looks)
      await call(routes.changeMaterial, { params: { materialId: id }, body: { version, look } });
  };
  const join = useMutation({
    mutationFn: () => set(own.map(({ material: { id, version } }) => ({ id, version, look: null }))),
    onSuccess: () =>
      notice({
        words: t('lessonLook.stationsFollowTheLessonNow', { count: own.length }),
        undo: () => sendChange(leave, undefined),
      }),
    onSettled: changed,
  });
  const leave = useMutation({
    mutationFn: () => set(own.map(({ material: { id, version, look } }) => ({ id, version: version + 1, look }))),
    onSettled: changed,
  });
  return (
    <p className="mt-4 mb-0 flex flex-wrap items-center gap-3 border-t border-line pt-4 text-row">
      <span className="flex-1">
        {t('lessonLook.keepTheirOwnLooks', {
          count: own.length,
          names: own.map(({ name }) => `“${name}”`).join(', '),
        })}
      </span>
      <Button disabled={join.isPending} onClick={() => sendChange(join, undefined)}>
        {t('lessonLook.useTheLessonsLookFor', { count: own.length })}
      </Button>
    </p>
  );
}
