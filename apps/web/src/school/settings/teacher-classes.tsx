/** Which classes teachers see: all of them, or for each teacher those that are ticked. */
import { routes, type ChangeTeacherClasses, type TeacherClasses, type TeacherClassesView } from '@hapset/contract';
import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { call } from '../../platform/api/client.js';
import { Button } from '../../platform/design/button.js';
import { Dialog, DialogEnd } from '../../platform/design/dialog.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { Panel } from '../../platform/design/panel.js';
import { Tick } from '../../platform/design/tick.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../words.js';

const teacherClassesQuery = queryOptions({
  queryKey: ['school', 'teacher-classes'],
  queryFn: ({ signal }): Promise<TeacherClassesView> => call(routes.teacherClasses, { signal }),
});

export function TeacherClassesPart(): ReactElement {
  const view = useQuery(teacherClassesQuery);
  const [open, setOpen] = useState(false);
  return (
    <Panel
      title={t('teacherClasses.whoSeesWhichStudents')}
      action={
        <Button disabled={!view.data} onClick={() => setOpen(true)}>
          {t('teacherClasses.change')}
        </Button>
      }
    >
      {view.isPending && <Loading rows={1} label={t('teacherClasses.loadingPermissions')} />}
      {hasFailed(view) && <Failed words={wordsFor(view.error)} onRetry={() => void view.refetch()} />}
      {view.data && <p className="m-0 text-body">{summary(view.data)}</p>}
      {open && view.data && <TeacherClassesDialog view={view.data} onClose={() => setOpen(false)} />}
    </Panel>
  );
}

function summary({ limited, teachers }: TeacherClassesView): string {
  if (limited === null) return t('teacherClasses.teachersSeeTheStudentsOf');
  const seeing = limited.filter(({ classNames }) => classNames.length > 0).length;
  return t('teacherClasses.ofTeachersSeeStudentsEach', { count: teachers.length, seeing });
}

function TeacherClassesDialog({
  view,
  onClose,
}: {
  readonly view: TeacherClassesView;
  readonly onClose: () => void;
}): ReactElement {
  const [limited, setLimited] = useState<readonly TeacherClasses[] | null>(view.limited);
  const client = useQueryClient();
  const notice = useNotice();
  const save = useMutation({
    mutationFn: (body: ChangeTeacherClasses) => call(routes.changeTeacherClasses, { body }),
    onSuccess: async () => {
      notice({ words: t('teacherClasses.saved') });
      onClose();
      await client.invalidateQueries();
    },
  });
  return (
    <Dialog
      title={t('teacherClasses.whoSeesWhichStudents')}
      about={t('teacherClasses.theOfficeAndAdministratorsAlways')}
      onClose={onClose}
    >
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate({ limited });
        }}
      >
        <Tick
          words={t('teacherClasses.teachersSeeAllClasses')}
          ticked={limited === null}
          onTick={(all) => setLimited(all ? null : (view.limited ?? []))}
        />
        {limited !== null &&
          view.teachers.map((teacher) => (
            <TeacherRow
              key={teacher.accountId}
              teacher={teacher}
              classes={view.classes}
              limited={limited}
              onChange={setLimited}
            />
          ))}
        {limited !== null && view.classes.length === 0 && (
          <p className="m-0 text-row text-muted">{t('teacherClasses.thereAreNoClassesYet')}</p>
        )}
        <DialogEnd
          failure={save.isError ? wordsFor(save.error) : null}
          send={t('teacherClasses.save')}
          sending={save.isPending}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}

interface RowProps {
  readonly teacher: TeacherClassesView['teachers'][number];
  readonly classes: readonly string[];
  readonly limited: readonly TeacherClasses[];
  readonly onChange: (limited: readonly TeacherClasses[]) => void;
}

function TeacherRow({ teacher: { accountId, name }, classes, limited, onChange }: RowProps): ReactElement {
  const own = limited.find((entry) => entry.accountId === accountId)?.classNames ?? [];
  const tick = (className: string, ticked: boolean): void => {
    const classNames = ticked ? [...own, className] : own.filter((one) => one !== className);
    onChange([...limited.filter((entry) => entry.accountId !== accountId), { accountId, classNames }]);
  };
  return (
    <fieldset className="m-0 border-0 border-t border-line p-0 pt-2">
      <legend className="float-left w-40 shrink-0 pt-1 text-body font-semibold">{name}</legend>
      <div className="flex flex-wrap gap-x-4">
        {classes.map((className) => (
          <Tick
            key={className}
            words={className}
            ticked={own.includes(className)}
            onTick={(ticked) => tick(className, ticked)}
          />
        ))}
      </div>
    </fieldset>
  );
}
