/** The fields of a description: whose addresses, which part each plays, what walls look like, what fixes them. */
import { addressRoles, describedRights, linkKinds } from '@hapset/core';
import { X } from 'lucide';
import type { ReactElement, ReactNode } from 'react';
import { useFieldArray, useWatch, type UseFormReturn } from 'react-hook-form';
import { Button } from '../../platform/design/button.js';
import { ChoiceField, SelectField, TextArea, TextField } from '../../platform/design/field.js';
import { Panel } from '../../platform/design/panel.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { rightWords, roleWords, wallWords } from '../../platform/wording/services.js';
import { verdictWords } from '../../platform/wording/verdicts.js';
import { idFromName, mendable, noAddress, noMending, noRight, noWall, type ServiceFields } from './service-fields.js';
import { Icon } from '../../platform/design/icon.js';
import { CheckBox } from '../../platform/design/inputs.js';

type Form = UseFormReturn<ServiceFields>;

export function ServiceForm({ form, isNew }: { readonly form: Form; readonly isNew: boolean }): ReactElement {
  const { register, formState, setValue, getValues } = form;
  const { errors } = formState;
  const name = register('name', {
    required: 'A service needs a name.',
    // A new one takes its id from its name until somebody writes another.
    onChange: () => isNew && !formState.dirtyFields.id && setValue('id', idFromName(getValues('name'))),
  });
  return (
    <div className="flex flex-col gap-4">
      <Panel title="Whose addresses these are">
        <div className="grid gap-4 sm:grid-cols-2">
          <TextField label="Name" hint="As people call it." {...name} problem={errors.name?.message} />
          <TextField
            label="Id"
            hint="Lower case letters, digits and hyphens."
            readOnly={!isNew}
            {...register('id', { required: 'A service needs an id.' })}
            problem={errors.id?.message}
          />
          <TextArea
            label="Hosts"
            hint="One a line. *.example.org covers every name below it."
            rows={3}
            {...register('hosts')}
            problem={errors.hosts?.message}
          />
          <div className="flex flex-col gap-4">
            <TextArea
              label="Parameters that only count visitors"
              hint="One a line; the general ones are known."
              rows={1}
              {...register('tracking')}
              problem={errors.tracking?.message}
            />
            <TextArea
              label="Short links of the school’s own"
              hint="Hosts at which the school runs them itself."
              rows={1}
              {...register('shorteners')}
              problem={errors.shorteners?.message}
            />
          </div>
        </div>
      </Panel>
      <Addresses form={form} />
      <Walls form={form} />
      <Mending form={form} />
      <Rights form={form} />
    </div>
  );
}

function Addresses({ form }: { readonly form: Form }): ReactElement {
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'addresses' });
  return (
    <Part
      title="Its addresses"
      aside="the first that fits counts"
      empty="None: the kind of a link is told by its ending alone."
      add="Add an address"
      onAdd={() => append(noAddress)}
    >
      {fields.map((field, index) => (
        <Row key={field.id} label={`Address ${index + 1}`} onRemove={() => remove(index)}>
          <Address form={form} index={index} />
        </Row>
      ))}
    </Part>
  );
}

function Address({ form, index }: { readonly form: Form; readonly index: number }): ReactElement {
  const { register, formState, control } = form;
  const problems = formState.errors.addresses?.[index];
  const role = useWatch({ control, name: `addresses.${index}.role` });
  return (
    <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2">
      <ChoiceField choices={addressRoles} words={roleWords} label="This is" {...register(`addresses.${index}.role`)} />
      <SelectField label="of a" {...register(`addresses.${index}.kind`)}>
        {linkKinds.map((choice) => (
          <option key={choice} value={choice}>
            {kindWords[choice].toLowerCase()}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Path"
        hint="/leaf/{leaf}/write; * for one part, ** for the rest"
        className={mono}
        {...register(`addresses.${index}.path`)}
        problem={problems?.path?.message}
      />
      <TextField
        label="or an expression"
        hint="RE2, looked for in path and query"
        className={mono}
        {...register(`addresses.${index}.pattern`)}
        problem={problems?.pattern?.message}
      />
      {role !== 'student' && (
        <>
          <TextField
            label="The student’s link"
            hint="/leaf/{leaf}, on the same host"
            className={mono}
            {...register(`addresses.${index}.studentLink`)}
            problem={problems?.studentLink?.message}
          />
          <TextArea
            label="or how to get it by hand"
            hint="One step a line."
            rows={1}
            {...register(`addresses.${index}.steps`)}
            problem={problems?.steps?.message}
          />
        </>
      )}
    </div>
  );
}

function Walls({ form }: { readonly form: Form }): ReactElement {
  const { register, formState } = form;
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'walls' });
  return (
    <Part
      title="Its walls"
      aside="pages that stand where the material should be"
      empty="None: walls are told by what such pages usually say."
      add="Add a wall"
      onAdd={() => append(noWall)}
    >
      {fields.map((field, index) => {
        const problems = formState.errors.walls?.[index];
        return (
          <Row key={field.id} label={`Wall ${index + 1}`} onRemove={() => remove(index)}>
            <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2">
              <SelectField label="A page that" {...register(`walls.${index}.verdict`)}>
                {Object.entries(wallWords).map(([verdict, words]) => (
                  <option key={verdict} value={verdict}>
                    {words}
                  </option>
                ))}
              </SelectField>
              <TextField
                label="is at the host"
                hint="where another service does the sign-in"
                className={mono}
                {...register(`walls.${index}.host`)}
                problem={problems?.host?.message}
              />
              <TextArea
                label="says"
                hint="One of these lines, in its title or first lines."
                rows={2}
                {...register(`walls.${index}.words`)}
                problem={problems?.words?.message}
              />
              <TextField
                label="or has an expression"
                hint="RE2, looked for in title and first lines"
                className={mono}
                {...register(`walls.${index}.pattern`)}
                problem={problems?.pattern?.message}
              />
            </div>
          </Row>
        );
      })}
    </Part>
  );
}

function Mending({ form }: { readonly form: Form }): ReactElement {
  const { register, formState } = form;
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'mending' });
  return (
    <Part
      title="What fixes it"
      aside="the steps that teachers see"
      empty="None: teachers see steps that fit any service."
      add="Add steps"
      onAdd={() => append(noMending)}
    >
      {fields.map((field, index) => {
        const problems = formState.errors.mending?.[index];
        return (
          <Row key={field.id} label={`Steps ${index + 1}`} onRemove={() => remove(index)}>
            <fieldset className="m-0 mb-3 flex flex-wrap gap-x-4 border-0 p-0">
              <legend className="mb-1 p-0 text-small font-semibold">When a link</legend>
              {mendable.map((verdict) => (
                <label key={verdict} className="flex min-h-8 items-center gap-2 text-body">
                  <CheckBox value={verdict} {...register(`mending.${index}.verdicts`)} />
                  {verdictWords[verdict].short.toLowerCase()}
                </label>
              ))}
            </fieldset>
            {problems?.verdicts && (
              <p role="alert" className="mt-0 mb-2 text-note font-semibold text-stop">
                Choose at least one.
              </p>
            )}
            <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2">
              <TextArea
                label="Steps"
                hint="One a line; **words** are what stands on the page."
                rows={3}
                {...register(`mending.${index}.steps`)}
                problem={problems?.steps?.message}
              />
              <TextField
                label="Where its owner does that"
                hint="{link}/who"
                className={mono}
                {...register(`mending.${index}.ownerPage`)}
                problem={problems?.ownerPage?.message}
              />
            </div>
          </Row>
        );
      })}
    </Part>
  );
}

function Rights({ form }: { readonly form: Form }): ReactElement {
  const { register, formState } = form;
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'rights' });
  return (
    <Part
      title="What visitors may do"
      aside="words on a page that opens"
      empty="None: it is told by what the page itself shows."
      add="Add words"
      onAdd={() => append(noRight)}
    >
      {fields.map((field, index) => (
        <Row key={field.id} label={`Right ${index + 1}`} onRemove={() => remove(index)}>
          <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2">
            <ChoiceField
              choices={describedRights}
              words={rightWords}
              label="Students can"
              {...register(`rights.${index}.can`)}
            />
            <TextArea
              label="where it says"
              hint="One of these lines, in title, first lines or on a button."
              rows={2}
              {...register(`rights.${index}.words`)}
              problem={formState.errors.rights?.[index]?.words?.message}
            />
          </div>
        </Row>
      ))}
    </Part>
  );
}

const mono =
  'w-full rounded-small border border-line-strong bg-sheet px-3 py-1.5 font-mono text-row min-h-9 focus:border-ink';

interface PartProps {
  readonly title: string;
  readonly aside: string;
  /** What holds where there are none. */
  readonly empty: string;
  readonly add: string;
  readonly onAdd: () => void;
  readonly children: readonly ReactNode[];
}

function Part({ title, aside, empty, add, onAdd, children }: PartProps): ReactElement {
  return (
    <Panel title={title} aside={aside} action={<Button onClick={onAdd}>{add}</Button>}>
      {children.length === 0 ? (
        <p className="m-0 text-row text-muted">{empty}</p>
      ) : (
        <ul className="m-0 list-none p-0">{children}</ul>
      )}
    </Panel>
  );
}

function Row({
  label,
  onRemove,
  children,
}: {
  readonly label: string;
  readonly onRemove: () => void;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <li aria-label={label} className="flex items-start gap-2 border-t border-line py-3.5 first:border-t-0 last:pb-1">
      <div className="min-w-0 flex-1">{children}</div>
      <button
        type="button"
        aria-label={`Remove ${label.toLowerCase()}`}
        onClick={onRemove}
        className="mt-5 inline-flex size-8 shrink-0 items-center justify-center rounded-small text-muted hover:bg-ink/5 hover:text-ink"
      >
        <Icon icon={X} size={16} />
      </button>
    </li>
  );
}
