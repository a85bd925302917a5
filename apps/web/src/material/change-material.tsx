import { limits, type ChangeMaterial, type MaterialPage } from '@hapset/contract';
import { linkKinds, repairLink, type MaterialKind } from '@hapset/core';
import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { Button } from '../design/button.js';
import { Dialog } from '../design/dialog.js';
import { SelectField, TextArea, TextField } from '../design/field.js';
import { useNotice } from '../design/notice.js';
import { kindWords } from '../wording/kinds.js';
import { wordsFor } from '../wording/problems.js';
import { useChangeMaterial, useRemoveMaterial } from './material.queries.js';

interface Fields {
  title: string;
  link: string;
  words: string;
  kind: MaterialKind;
  instruction: string;
}

export function ChangeMaterialDialog({ page: { material, station, lessons }, onClose }: { readonly page: MaterialPage; readonly onClose: () => void }): ReactElement {
  const change = useChangeMaterial(material.id);
  const { register, handleSubmit, formState } = useForm<Fields>({
    defaultValues: { title: material.title, link: material.link ?? '', words: material.words ?? '', kind: material.kind, instruction: material.instruction },
  });
  const send = (fields: Fields): void => {
    const wish: ChangeMaterial = {
      version: material.version,
      ...(formState.dirtyFields.title && { title: fields.title.trim() }),
      ...(formState.dirtyFields.instruction && { instruction: fields.instruction.trim() }),
      ...(formState.dirtyFields.kind && { kind: fields.kind }),
      ...(formState.dirtyFields.link && { link: repairLink(fields.link).link }),
      ...(formState.dirtyFields.words && { words: fields.words }),
    };
    change.mutate(wish, { onSuccess: onClose });
  };
  const needed = { validate: (value: string) => value.trim() !== '' || 'This is needed.' };
  return (
    <Dialog title="Change" about={lessons.length > 1 ? `It hangs in ${lessons.length} lessons; all of them change.` : undefined} onClose={onClose}>
      <form className="flex flex-col gap-4" noValidate onSubmit={(event) => void handleSubmit(send)(event)}>
        <TextField label="Title" maxLength={limits.titleLength} {...register('title', needed)} problem={formState.errors.title?.message} />
        {material.link !== null ? (
          <>
            <TextArea label="Link" rows={2} maxLength={limits.linkLength} className="font-mono" hint="A new link is another code: what is on the wall would have to be printed again." {...register('link', needed)} problem={formState.errors.link?.message} />
            <SelectField label="Kind" {...register('kind')}>
              {linkKinds.map((kind) => (
                <option key={kind} value={kind}>
                  {kindWords[kind]}
                </option>
              ))}
            </SelectField>
          </>
        ) : (
          <TextArea label="Words in the code" rows={4} maxLength={limits.wordsLength} {...register('words', needed)} problem={formState.errors.words?.message} />
        )}
        <TextField label="What students should do" hint="Printed under the code." maxLength={limits.instructionLength} {...register('instruction', needed)} problem={formState.errors.instruction?.message} />
        {change.isError && (
          <p role="alert" className="m-0 text-[14px] font-semibold text-stop">
            {wordsFor(change.error)}
          </p>
        )}
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" tone="main" disabled={change.isPending || !formState.isDirty}>
            Keep the change
          </Button>
        </div>
      </form>
      {!station && <RemoveMaterial id={material.id} title={material.title} />}
    </Dialog>
  );
}

function RemoveMaterial({ id, title }: { readonly id: string; readonly title: string }): ReactElement {
  const remove = useRemoveMaterial();
  const navigate = useNavigate();
  const notice = useNotice();
  const onRemove = (): void => {
    remove.mutate(
      { materialId: id },
      {
        onSuccess: () => {
          notice({ words: `“${title}” was taken off the shelf.`, undo: () => remove.mutate({ materialId: id, back: true }) });
          void navigate('/shelf');
        },
      },
    );
  };
  return (
    <div className="mt-5 flex items-center gap-3 border-t border-line pt-4 text-[14px]">
      <span className={`flex-1 ${remove.isError ? 'font-semibold text-stop' : 'text-muted'}`} role={remove.isError ? 'alert' : undefined}>
        {remove.isError ? wordsFor(remove.error) : 'A code that is on a wall goes on working.'}
      </span>
      <Button onClick={onRemove}>Take off the shelf</Button>
    </div>
  );
}
