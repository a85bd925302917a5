import { roles } from '@hapset/contract';
import { useId, type ReactElement } from 'react';
import type { UseFormRegisterReturn } from 'react-hook-form';
import { RadioButton } from '../../platform/design/inputs.js';
import { roleHints, roleWords } from './role-words.js';
import { t } from './words.js';

/** What somebody may do, each role with its reason. */
export function RoleChoice({ field }: { readonly field: UseFormRegisterReturn }): ReactElement {
  const id = useId();
  return (
    <fieldset className="m-0 flex flex-col gap-1.5 border-0 p-0">
      <legend className="mb-1 p-0 text-small font-semibold">{t('roles.role')}</legend>
      {roles.map((role) => (
        <div key={role}>
          <label className="flex min-h-8 cursor-pointer items-center gap-2 text-body">
            <RadioButton value={role} aria-describedby={`${id}-${role}`} {...field} />
            {roleWords[role]}
          </label>
          <p id={`${id}-${role}`} className="m-0 pl-6 text-note text-muted">
            {roleHints[role]}
          </p>
        </div>
      ))}
    </fieldset>
  );
}
