import { limits, type ChangeMaterial, type DeviceView, type MaterialPage, type MaterialView } from '@hapset/contract';
import { linkKinds, readLink, readTags, type MaterialKind } from '@hapset/core';
import type { ReactElement } from 'react';
import { useForm, useWatch, type Control, type UseFormReturn } from 'react-hook-form';
import { DraftOffer } from '../../platform/draft/draft-offer.js';
import { useFormDraft } from '../../platform/draft/use-draft.js';
import { useOwnPlace } from '../../school/account/use-own-place.js';
import { useUnsaved } from '../../platform/design/unsaved.js';
import { ChoiceField, TextArea, TextField } from '../../platform/design/field.js';
import { DialogEnd } from '../../platform/design/dialog.js';
import { LiveCode } from '../../code/symbol/live-code.js';
import { dayHere } from '../../platform/wording/figures.js';
import { shownTooShort } from './shown-too-short.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { t } from '../words.js';

interface Fields {
  title: string;
  link: string;
  words: string;
  kind: MaterialKind;
  instruction: string;
  tags: string;
  shownUntil: string;
}

interface Props {
  readonly material: MaterialView;
  /** Those that are to read it. */
  readonly devices: readonly DeviceView[];
  /** Lessons that show it. */
  readonly lessons: MaterialPage['lessons'];
  readonly sending: boolean;
  readonly failure: string | null;
  /** @param saved to be called once the server has it */
  readonly onSend: (request: Omit<ChangeMaterial, 'version'>, saved: () => void) => void;
  readonly onCancel: () => void;
}

/** Title, link or words, kind and instruction; only what was touched is sent. */
export function MaterialForm({ material, devices, lessons, sending, failure, onSend, onCancel }: Props): ReactElement {
  const form = useForm<Fields>({
    defaultValues: fieldsOf(material),
  });
  const draft = useFormDraft(useOwnPlace(`material ${material.id}`), form);
  const { register, handleSubmit, formState } = form;
  const { dirtyFields: touched, errors } = formState;
  useUnsaved(formState.isDirty && !sending, draft.remove);
  const cancel = (): void => {
    // What is being sent may yet be refused.
    if (!sending) draft.remove();
    onCancel();
  };
  return (
    <form
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => void handleSubmit((fields) => onSend(toRequest(fields, touched), draft.remove))(event)}
    >
      <DraftOffer draft={draft} onUse={draft.use} />
      <TextField
        label={t('materialForm.title')}
        maxLength={limits.titleLength}
        {...register('title', needed)}
        problem={errors.title?.message}
      />
      {material.link !== null && <LinkFields form={form} />}
      {material.words !== null && <WordsFields form={form} devices={devices} />}
      <TextField
        label={t('materialForm.whatStudentsShouldDo')}
        hint={t('materialForm.printedUnderTheCode')}
        maxLength={limits.instructionLength}
        {...register('instruction', needed)}
        problem={errors.instruction?.message}
      />
      {material.pageAddress !== null && (
        <>
          <TextField
            label={t('materialForm.showUntil')}
            type="date"
            hint={t('materialForm.leaveEmptyToShowIt')}
            {...register('shownUntil')}
          />
          <ShownTooShort control={form.control} lessons={lessons} />
        </>
      )}
      <TextField label={t('materialForm.tags')} hint={t('materialForm.separatedByCommas')} {...register('tags')} />
      <DialogEnd
        failure={failure}
        send={t('materialForm.saveChanges')}
        sending={sending}
        disabled={!formState.isDirty}
        onCancel={cancel}
      />
    </form>
  );
}

const needed = { validate: (value: string) => value.trim() !== '' || t('materialForm.thisIsNeeded') };

/** What was changed, and nothing else. */
function toRequest(fields: Fields, touched: Partial<Record<keyof Fields, boolean>>): Omit<ChangeMaterial, 'version'> {
  return {
    ...(touched.title && { title: fields.title.trim() }),
    ...(touched.instruction && { instruction: fields.instruction.trim() }),
    ...(touched.kind && { kind: fields.kind }),
    ...(touched.shownUntil && { shownUntil: fields.shownUntil === '' ? null : fields.shownUntil }),
    ...(touched.tags && { tags: readTags(fields.tags) }),
    ...(touched.link && { link: readLink(fields.link)?.link ?? fields.link.trim() }),
    ...(touched.words && { words: fields.words }),
  };
}

function fieldsOf(material: MaterialView): Fields {
  return {
    title: material.title,
    link: material.link ?? '',
    words: material.words ?? '',
    kind: material.kind,
    instruction: material.instruction,
    tags: material.tags.join(', '),
    shownUntil: material.shownUntil ?? '',
  };
}

interface PartProps {
  readonly form: UseFormReturn<Fields>;
}

function LinkFields({ form: { register, formState } }: PartProps): ReactElement {
  return (
    <>
      <TextArea
        label={t('materialForm.link')}
        rows={2}
        maxLength={limits.linkLength}
        hint={t('materialForm.aNewLinkMeansA')}
        {...register('link', needed)}
        problem={formState.errors.link?.message}
      />
      <ChoiceField choices={linkKinds} words={kindWords} label={t('materialForm.kind')} {...register('kind')} />
    </>
  );
}

function WordsFields({
  form: { register, formState, control },
  devices,
}: PartProps & Pick<Props, 'devices'>): ReactElement {
  return (
    <div className="grid grid-cols-1 gap-5 sm:grid-cols-[minmax(0,1fr)_300px]">
      <TextArea
        label={t('materialForm.wordsInTheCode')}
        rows={7}
        maxLength={limits.wordsLength}
        {...register('words', needed)}
        problem={formState.errors.words?.message}
      />
      <LiveWords control={control} devices={devices} />
    </div>
  );
}

/** Said while it is set, and not only on the bench on the day itself. */
function ShownTooShort({
  control,
  lessons,
}: { readonly control: Control<Fields> } & Pick<Props, 'lessons'>): ReactElement {
  const until = useWatch({ control, name: 'shownUntil' });
  return (
    <p role="status" className="m-0 -mt-2 text-body font-semibold text-look">
      {until === '' ? '' : shownTooShort(until, lessons, dayHere(new Date()))}
    </p>
  );
}

/** Alone, so that the other fields are not drawn again with each character. */
function LiveWords({ control, devices }: { readonly control: Control<Fields> } & Pick<Props, 'devices'>): ReactElement {
  const words = useWatch({ control, name: 'words' });
  return <LiveCode payload={words.trim() === '' ? null : words} act={null} devices={devices} />;
}
