import type { SchoolClassView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { Panel } from '../../platform/design/panel.js';
import { devicesQuery } from '../device/device.queries.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { ClassDialog } from './class-dialog.js';
import { classesQuery } from './school-class.queries.js';
import { t } from '../words.js';

/** The school's classes: which accounts their students have, and which devices they scan with. */
export function SchoolClasses(): ReactElement {
  const classes = useQuery(classesQuery);
  const devices = useQuery(devicesQuery);
  const [editing, setEditing] = useState<SchoolClassView | 'new' | null>(null);
  const nameOf = (id: string): string => devices.data?.find((device) => device.id === id)?.name ?? '';
  return (
    <Panel
      title={t('schoolClasses.classes')}
      action={<Button onClick={() => setEditing('new')}>{t('schoolClasses.newClass')}</Button>}
    >
      {classes.isPending && <Loading rows={2} label={t('schoolClasses.classesAreLoading')} />}
      {hasFailed(classes) && <Failed words={wordsFor(classes.error)} onRetry={() => void classes.refetch()} />}
      {classes.data?.length === 0 && (
        <Empty title={t('schoolClasses.noClassesYet')}>{t('schoolClasses.aClassSaysWhichDevices')}</Empty>
      )}
      <ul className="m-0 list-none p-0">
        {classes.data?.map((schoolClass) => (
          <li key={schoolClass.id} className="flex items-center gap-3 border-t border-line py-2.5 first:border-t-0">
            <span className="min-w-0 flex-1">
              <span className="block text-lead font-semibold">{schoolClass.name}</span>
              <span className="block text-small text-muted">
                {schoolClass.studentAccounts === 'none'
                  ? t('schoolClasses.studentsHaveNoAccounts', {
                      devices:
                        schoolClass.deviceIds
                          .map(nameOf)
                          .filter((name) => name !== '')
                          .join(', ') || t('schoolClasses.allDevices'),
                    })
                  : t('schoolClasses.studentsHaveAccountsOfThe', {
                      devices:
                        schoolClass.deviceIds
                          .map(nameOf)
                          .filter((name) => name !== '')
                          .join(', ') || t('schoolClasses.allDevices'),
                    })}
              </span>
            </span>
            <Button
              onClick={() => setEditing(schoolClass)}
              aria-label={t('schoolClasses.changeClass', { name: schoolClass.name })}
            >
              {t('schoolClasses.change')}
            </Button>
          </li>
        ))}
      </ul>
      {editing !== null && (
        <ClassDialog
          schoolClass={editing === 'new' ? null : editing}
          devices={devices.data ?? []}
          onClose={() => setEditing(null)}
        />
      )}
    </Panel>
  );
}
