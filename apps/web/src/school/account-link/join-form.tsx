import { routes } from '@hapset/contract';
import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { call } from '../../platform/api/client.js';
import { t } from '../staff/words.js';
import { EnterEnd } from './enter-end.js';
import { nobody, PersonFields, type Person } from './person-fields.js';
import { useEntering } from './use-entering.js';

export function JoinForm({
  token,
  onEntered,
}: {
  readonly token: string;
  readonly onEntered: () => void;
}): ReactElement {
  const form = useForm<Person>({ defaultValues: nobody });
  const { send, problems, failure } = useEntering(
    (person: Person) => call(routes.createAccount, { body: { ...person, token, school: null } }),
    onEntered,
  );
  return (
    <form
      className="flex flex-col gap-4"
      noValidate
      onSubmit={(event) => void form.handleSubmit((person) => send.mutate(person))(event)}
    >
      <PersonFields register={form.register} errors={form.formState.errors} problems={problems} />
      <EnterEnd failure={failure} sending={send.isPending} words={t('account.create')} />
    </form>
  );
}
