import { routes, type ChangeMaterial, type MaterialPage } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { KindForm } from '../../code/content/kind-form.js';
import { schoolQuery } from '../../school/settings/school.queries.js';
import { useRemoval } from '../../platform/undo/use-removal.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { MaterialForm } from './material-form.js';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { t } from '../words.js';

/** Changes a material: what it says, what it is called, what students should do. */
export function ChangeMaterialDialog({
  page: { material, station, lessons, rehearsal },
  onClose,
}: {
  readonly page: MaterialPage;
  readonly onClose: () => void;
}): ReactElement {
  const change = useChangeMaterial(material.id);
  const school = useQuery(schoolQuery).data;
  const [fieldsShown, setFieldsShown] = useState(false);
  const send = (request: Omit<ChangeMaterial, 'version'>, saved: () => void): void => {
    // The draft goes also when the dialog was closed meanwhile.
    void change
      .mutateAsync({ ...request, version: material.version }, { onSuccess: onClose })
      .then(saved, () => undefined);
  };
  const { content } = material;
  const failure = change.isError ? wordsFor(change.error) : null;
  return (
    <Dialog
      title={t('changeMaterial.change')}
      about={lessons.length > 1 ? t('changeMaterial.itIsUsedInLessons', { lessons: lessons.length }) : undefined}
      wide={fieldsShown || material.words !== null}
      onClose={onClose}
    >
      {content && school && fieldsShown ? (
        <KindForm
          kind={content.kind}
          content={content}
          school={school}
          devices={rehearsal.devices}
          send={t('changeMaterial.saveChanges')}
          sending={change.isPending}
          failure={failure}
          place={`fields of ${material.id}`}
          onSend={(fields, saved) => send({ content: fields }, saved)}
        />
      ) : (
        <>
          {content && (
            <p className="mt-0 mb-4">
              <Button onClick={() => setFieldsShown(true)}>{t('changeMaterial.changeTheCodesContent')}</Button>
            </p>
          )}
          <MaterialForm
            material={material}
            devices={rehearsal.devices}
            lessons={lessons}
            sending={change.isPending}
            failure={failure}
            onSend={send}
            onCancel={onClose}
          />
        </>
      )}
      {!station && <RemoveMaterial id={material.id} title={material.title} kept={material.pageAddress !== null} />}
    </Dialog>
  );
}

function RemoveMaterial({
  id,
  title,
  kept,
}: {
  readonly id: string;
  readonly title: string;
  readonly kept: boolean;
}): ReactElement {
  const removal = useRemoval({
    remove: routes.removeMaterial,
    restore: routes.restoreMaterial,
    params: { materialId: id },
    words: t('changeMaterial.wasRemovedFromTheShelf', { title }),
    leadsTo: '/shelf',
  });
  return (
    <div className="mt-5 flex items-center gap-3 border-t border-line pt-4 text-row">
      <span
        className={`flex-1 ${removal.error ? 'font-semibold text-stop' : 'text-muted'}`}
        role={removal.error ? 'alert' : undefined}
      >
        {removal.error
          ? wordsFor(removal.error)
          : kept
            ? t('changeMaterial.studentsWhoScanItsCode')
            : t('changeMaterial.printedCodesKeepWorking')}
      </span>
      <Button onClick={removal.run}>{t('changeMaterial.removeFromShelf')}</Button>
    </div>
  );
}
