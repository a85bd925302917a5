/** The form of one kind, drawn from its fields, with the code beside it as it would be now. */
import type { DeviceView, SchoolView } from '@hapset/contract';
import { contentPayload, contentProblems, type Content, type ContentKind } from '@hapset/core';
import type { ReactElement } from 'react';
import { useForm, useWatch, type FieldErrors, type UseFormRegister } from 'react-hook-form';
import { Button } from '../../platform/design/button.js';
import { DraftOffer } from '../../platform/draft/draft-offer.js';
import { useFormDraft } from '../../platform/draft/use-draft.js';
import { useOwnPlace } from '../../school/account/use-own-place.js';
import { useUnsaved } from '../../platform/design/unsaved.js';
import { SelectField, TextArea, TextField } from '../../platform/design/field.js';
import { LiveCode } from '../symbol/live-code.js';
import { contentProblemWords } from '../../platform/wording/content-problems.js';
import { kindForms, toContent, toFormValues, type FormValues, type KindField } from './kind-fields.js';
import { CheckBox } from '../../platform/design/inputs.js';
import { Alert } from '../../platform/design/alert.js';
import { t } from '../words.js';

interface Props {
  readonly kind: ContentKind;
  /** Fields to begin with; those of a new thing otherwise. */
  readonly content?: Content;
  readonly school: SchoolView;
  /** Those that are to read it. */
  readonly devices: readonly DeviceView[];
  readonly send: string;
  readonly sending: boolean;
  /** Where drafts of it are kept. */
  readonly place: string;
  /** What went wrong when it was sent. */
  readonly failure: string | null;
  /** @param saved to be called once the server has it */
  readonly onSend: (content: Content, saved: () => void) => void;
  /** Keeps it as a written page instead; left out where that can't be. */
  readonly onPage?: (content: Content) => void;
}

export function KindForm({
  kind,
  content,
  school,
  devices,
  send,
  sending,
  place,
  failure,
  onSend,
  onPage,
}: Props): ReactElement {
  const { fields, about, empty } = kindForms[kind];
  const form = useForm<FormValues>({
    defaultValues: toFormValues(content ?? empty),
    resolver: (values) => {
      const problems = contentProblems(toContent(kind, values));
      const errors = Object.fromEntries(
        problems.map(({ field, reason }) => [field, { type: reason, message: contentProblemWords[reason] }]),
      );
      return problems.length > 0 ? { values: {}, errors } : { values, errors: {} };
    },
  });
  const own = useOwnPlace(place);
  // The key of a network is a password: it is kept nowhere but in the code.
  const draft = useFormDraft(kind === 'network' ? nowhere : own, form);
  useUnsaved(form.formState.isDirty && !sending, draft.remove);
  return (
    <form
      className="grid grid-cols-1 gap-5 sm:grid-cols-[minmax(0,1fr)_300px]"
      noValidate
      onSubmit={(event) => void form.handleSubmit((values) => onSend(toContent(kind, values), draft.remove))(event)}
    >
      <div className="grid grid-cols-2 gap-4">
        <div className="col-span-2 empty:hidden">
          <DraftOffer draft={draft} onUse={draft.use} />
        </div>
        <p className="col-span-2 m-0 text-row text-muted">{about}</p>
        {fields.map((field) => (
          <div key={field.name} className={field.half ? 'col-span-2 sm:col-span-1' : 'col-span-2'}>
            <Field field={field} register={form.register} errors={form.formState.errors} />
          </div>
        ))}
        {failure !== null && <Alert words={failure} className="col-span-2 m-0" />}
        <div className="col-span-2">
          <Button type="submit" tone="main" disabled={sending}>
            {send}
          </Button>
        </div>
      </div>
      <Preview
        kind={kind}
        control={form.control}
        timeZone={school.timeZone}
        devices={devices}
        {...(onPage && { onPage })}
      />
    </form>
  );
}

const nowhere = { accountId: undefined, place: '' };

function Field({
  field,
  register,
  errors,
}: {
  readonly field: KindField;
  readonly register: UseFormRegister<FormValues>;
  readonly errors: FieldErrors<FormValues>;
}): ReactElement {
  const { name, label, hint, input, choices } = field;
  const problem = errors[name]?.message;
  const frame = { label, ...(hint !== undefined && { hint }), problem };
  if (input === 'long') return <TextArea {...frame} rows={3} {...register(name)} />;
  if (input === 'choice') {
    return (
      <SelectField {...frame} {...register(name)}>
        {choices?.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </SelectField>
    );
  }
  if (input === 'tick') {
    return (
      <label className="flex min-h-9 items-center gap-2.5 text-field">
        <CheckBox {...register(name)} /> {label}
      </label>
    );
  }
  return (
    <TextField
      {...frame}
      type={input === 'number' ? 'text' : input}
      inputMode={input === 'number' ? 'decimal' : undefined}
      autoComplete="off"
      {...register(name)}
    />
  );
}

/** The code as it would be now; dashed while something is missing. */
function Preview({
  kind,
  control,
  timeZone,
  devices,
  onPage,
}: {
  readonly kind: ContentKind;
  readonly control: ReturnType<typeof useForm<FormValues>>['control'];
  readonly timeZone: string;
} & Pick<Props, 'devices' | 'onPage'>): ReactElement {
  const values = useWatch({ control });
  const content = toContent(kind, values as FormValues);
  const payload = contentProblems(content).length > 0 ? null : contentPayload(content, timeZone);
  return (
    <LiveCode
      payload={payload}
      act={kind}
      devices={devices}
      wayOut={onPage && <Button onClick={() => onPage(content)}>{t('kindForm.putItOnAPage')}</Button>}
    />
  );
}
