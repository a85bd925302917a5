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
import { idFromName, fixable, noAddress, noFix, noRight, noWall, type ServiceFields } from './service-fields.js';
import { Icon } from '../../platform/design/icon.js';
import { CheckBox } from '../../platform/design/inputs.js';
import { t } from '../words.js';

type Form = UseFormReturn<ServiceFields>;

export function ServiceForm({ form, isNew }: { readonly form: Form; readonly isNew: boolean }): ReactElement {
  const { register, formState, setValue, getValues } = form;
  const { errors } = formState;
  const name = register('name', {
    required: t('serviceForm.aServiceNeedsAName'),
    // A new one takes its id from its name until somebody writes another.
    onChange: () => isNew && !formState.dirtyFields.id && setValue('id', idFromName(getValues('name'))),
  });
  return (
    <div className="flex flex-col gap-4">
      <Panel title={t('serviceForm.whoseAddressesTheseAre')}>
        <div className="grid gap-4 sm:grid-cols-2">
          <TextField
            label={t('serviceForm.name')}
            hint={t('serviceForm.theNameThatPeopleUse')}
            {...name}
            problem={errors.name?.message}
          />
          <TextField
            label={t('serviceForm.id')}
            hint={t('serviceForm.lowerCaseLettersDigitsAnd')}
            readOnly={!isNew}
            {...register('id', { required: t('serviceForm.aServiceNeedsAnId') })}
            problem={errors.id?.message}
          />
          <TextArea
            label={t('serviceForm.hosts')}
            hint={t('serviceForm.onePerLineExampleOrg')}
            rows={3}
            {...register('hosts')}
            problem={errors.hosts?.message}
          />
          <div className="flex flex-col gap-4">
            <TextArea
              label={t('serviceForm.trackingParameters')}
              hint={t('serviceForm.onePerLineCommonOnes')}
              rows={1}
              {...register('tracking')}
              problem={errors.tracking?.message}
            />
            <TextArea
              label={t('serviceForm.shortLinksOfTheSchools')}
              hint={t('serviceForm.hostsWhereTheSchoolRuns')}
              rows={1}
              {...register('shorteners')}
              problem={errors.shorteners?.message}
            />
          </div>
        </div>
      </Panel>
      <Addresses form={form} />
      <Walls form={form} />
      <Fixes form={form} />
      <Rights form={form} />
    </div>
  );
}

function Addresses({ form }: { readonly form: Form }): ReactElement {
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'addresses' });
  return (
    <Part
      title={t('serviceForm.addresses')}
      aside={t('serviceForm.theFirstMatchCounts')}
      empty={t('serviceForm.noneTheKindOfA')}
      add={t('serviceForm.addAnAddress')}
      onAdd={() => append(noAddress)}
    >
      {fields.map((field, index) => (
        <Row key={field.id} label={t('serviceForm.address', { number: index + 1 })} onRemove={() => remove(index)}>
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
      <ChoiceField
        choices={addressRoles}
        words={roleWords}
        label={t('serviceForm.thisIs')}
        {...register(`addresses.${index}.role`)}
      />
      <SelectField label={t('serviceForm.ofA')} {...register(`addresses.${index}.kind`)}>
        {linkKinds.map((choice) => (
          <option key={choice} value={choice}>
            {kindWords[choice].toLowerCase()}
          </option>
        ))}
      </SelectField>
      <TextField
        label={t('serviceForm.path')}
        hint={t('serviceForm.leafLeafWriteForOne')}
        className={mono}
        {...register(`addresses.${index}.path`)}
        problem={problems?.path?.message}
      />
      <TextField
        label={t('serviceForm.orARegularExpression')}
        hint={t('serviceForm.rE2SyntaxMatchedInPath')}
        className={mono}
        {...register(`addresses.${index}.pattern`)}
        problem={problems?.pattern?.message}
      />
      {role !== 'student' && (
        <>
          <TextField
            label={t('serviceForm.theStudentsLink')}
            hint={t('serviceForm.leafLeafOnTheSame')}
            className={mono}
            {...register(`addresses.${index}.studentLink`)}
            problem={problems?.studentLink?.message}
          />
          <TextArea
            label={t('serviceForm.orHowToGetIt')}
            hint={t('serviceForm.oneStepPerLine')}
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
      title={t('serviceForm.walls')}
      aside={t('serviceForm.pagesShownInsteadOfThe')}
      empty={t('serviceForm.noneWallsAreRecognisedBy')}
      add={t('serviceForm.addAWall')}
      onAdd={() => append(noWall)}
    >
      {fields.map((field, index) => {
        const problems = formState.errors.walls?.[index];
        return (
          <Row key={field.id} label={t('serviceForm.wall', { number: index + 1 })} onRemove={() => remove(index)}>
            <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2">
              <SelectField label={t('serviceForm.aPageThat')} {...register(`walls.${index}.verdict`)}>
                {Object.entries(wallWords).map(([verdict, words]) => (
                  <option key={verdict} value={verdict}>
                    {words}
                  </option>
                ))}
              </SelectField>
              <TextField
                label={t('serviceForm.isAtTheHost')}
                hint={t('serviceForm.whereAnotherServiceHandlesThe')}
                className={mono}
                {...register(`walls.${index}.host`)}
                problem={problems?.host?.message}
              />
              <TextArea
                label={t('serviceForm.says')}
                hint={t('serviceForm.oneOfTheseLinesIn')}
                rows={2}
                {...register(`walls.${index}.words`)}
                problem={problems?.words?.message}
              />
              <TextField
                label={t('serviceForm.orMatchesARegularExpression')}
                hint={t('serviceForm.rE2SyntaxMatchedInTitle')}
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

function Fixes({ form }: { readonly form: Form }): ReactElement {
  const { register, formState } = form;
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'fixes' });
  return (
    <Part
      title={t('serviceForm.fixes')}
      aside={t('serviceForm.stepsShownToTeachers')}
      empty={t('serviceForm.noneTeachersSeeGeneralSteps')}
      add={t('serviceForm.addSteps')}
      onAdd={() => append(noFix)}
    >
      {fields.map((field, index) => {
        const problems = formState.errors.fixes?.[index];
        return (
          <Row key={field.id} label={t('serviceForm.steps', { number: index + 1 })} onRemove={() => remove(index)}>
            <fieldset className="m-0 mb-3 flex flex-wrap gap-x-4 border-0 p-0">
              <legend className="mb-1 p-0 text-small font-semibold">{t('serviceForm.whenALink')}</legend>
              {fixable.map((verdict) => (
                <label key={verdict} className="flex min-h-8 items-center gap-2 text-body">
                  <CheckBox value={verdict} {...register(`fixes.${index}.verdicts`)} />
                  {verdictWords[verdict].short.toLowerCase()}
                </label>
              ))}
            </fieldset>
            {problems?.verdicts && (
              <p role="alert" className="mt-0 mb-2 text-note font-semibold text-stop">
                {t('serviceForm.chooseAtLeastOne')}
              </p>
            )}
            <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2">
              <TextArea
                label={t('serviceForm.steps2')}
                hint={t('serviceForm.onePerLinePutWords')}
                rows={3}
                {...register(`fixes.${index}.steps`)}
                problem={problems?.steps?.message}
              />
              <TextField
                label={t('serviceForm.pageWhereTheOwnerDoes')}
                hint={t('serviceForm.linkWho')}
                className={mono}
                {...register(`fixes.${index}.ownerPage`)}
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
      title={t('serviceForm.permissions')}
      aside={t('serviceForm.wordsOnTheOpenedPage')}
      empty={t('serviceForm.nonePermissionsAreReadFrom')}
      add={t('serviceForm.addWords')}
      onAdd={() => append(noRight)}
    >
      {fields.map((field, index) => (
        <Row key={field.id} label={t('serviceForm.right', { number: index + 1 })} onRemove={() => remove(index)}>
          <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2">
            <ChoiceField
              choices={describedRights}
              words={rightWords}
              label={t('serviceForm.studentsCan')}
              {...register(`rights.${index}.can`)}
            />
            <TextArea
              label={t('serviceForm.whereItSays')}
              hint={t('serviceForm.oneOfTheseLinesIn2')}
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
        aria-label={t('serviceForm.remove', { name: label.toLowerCase() })}
        onClick={onRemove}
        className="mt-5 inline-flex size-8 shrink-0 items-center justify-center rounded-small text-muted hover:bg-ink/5 hover:text-ink"
      >
        <Icon icon={X} size={16} />
      </button>
    </li>
  );
}
