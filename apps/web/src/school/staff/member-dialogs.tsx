/** What administrators do with a colleague's account. */
import { routes, type ChangeStaff, type Role, type StaffMember } from '@hapset/contract';
import { useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { call } from '../../platform/api/client.js';
import { Dialog, DialogEnd } from '../../platform/design/dialog.js';
import { SelectField } from '../../platform/design/field.js';
import { useNotice } from '../../platform/design/notice.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { LinkMade, pageOf } from './link-made.js';
import { RoleChoice } from './role-choice.js';
import { staffQuery } from './staff.queries.js';
import { t } from './words.js';

interface Props {
  readonly member: StaffMember;
  readonly onClose: () => void;
}

export function useChangeStaff({ accountId }: StaffMember): UseMutationResult<StaffMember, Error, ChangeStaff> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: ChangeStaff) => call(routes.changeStaff, { params: { accountId }, body }),
    onSuccess: () => client.invalidateQueries(),
  });
}

export function RoleDialog({ member, onClose }: Props): ReactElement {
  const change = useChangeStaff(member);
  const form = useForm<{ role: Role }>({ defaultValues: { role: member.role } });
  return (
    <Dialog title={t('roleDialog.title', { name: member.name })} about={t('roleDialog.about')} onClose={onClose}>
      <form
        className="flex flex-col gap-4"
        noValidate
        onSubmit={(event) => void form.handleSubmit((fields) => change.mutate(fields, { onSuccess: onClose }))(event)}
      >
        <RoleChoice field={form.register('role')} />
        <DialogEnd
          failure={change.isError ? wordsFor(change.error) : null}
          send={t('roleDialog.save')}
          sending={change.isPending}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}

export function ResetLinkDialog({ member: { accountId, name }, onClose }: Props): ReactElement {
  const make = useMutation({ mutationFn: () => call(routes.makeResetLink, { params: { accountId } }) });
  return (
    <Dialog title={t('resetLink.title', { name })} about={t('resetLink.about')} onClose={onClose}>
      {make.data ? (
        <LinkMade made={make.data} page={pageOf(make.data)} onClose={onClose} />
      ) : (
        <form
          className="flex flex-col gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            make.mutate();
          }}
        >
          <DialogEnd
            failure={make.isError ? wordsFor(make.error) : null}
            send={t('resetLink.make')}
            sending={make.isPending}
            onCancel={onClose}
          />
        </form>
      )}
    </Dialog>
  );
}

export function DeactivateDialog({ member, onClose }: Props): ReactElement {
  const change = useChangeStaff(member);
  return (
    <Dialog title={t('deactivate.title', { name: member.name })} about={t('deactivate.about')} onClose={onClose}>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate({ active: false }, { onSuccess: onClose });
        }}
      >
        {member.lessons + member.materials > 0 && <p className="m-0 text-body">{t('deactivate.handOverFirst')}</p>}
        <DialogEnd
          failure={change.isError ? wordsFor(change.error) : null}
          send={t('deactivate.send')}
          sending={change.isPending}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}

export function HandOverDialog({
  member: { accountId, name, lessons, materials },
  colleagues,
  onClose,
}: Props & { readonly colleagues: readonly StaffMember[] }): ReactElement {
  const client = useQueryClient();
  const notice = useNotice();
  const form = useForm<{ toAccountId: string }>({ defaultValues: { toAccountId: '' } });
  const give = useMutation({
    mutationFn: (body: { toAccountId: string }) => call(routes.handOver, { params: { accountId }, body }),
    onSuccess: async (given, { toAccountId }) => {
      const colleague = colleagues.find((other) => other.accountId === toAccountId)?.name ?? '';
      notice({
        words: t('handOver.done', {
          name: colleague,
          lessons: t('handOver.lessons', { count: given.lessons }),
          materials: t('handOver.materials', { count: given.materials }),
        }),
      });
      await client.invalidateQueries({ queryKey: staffQuery.queryKey });
      onClose();
    },
  });
  return (
    <Dialog
      title={t('handOver.title', { name })}
      about={t('handOver.about', {
        lessons: t('handOver.lessons', { count: lessons }),
        materials: t('handOver.materials', { count: materials }),
      })}
      onClose={onClose}
    >
      <form
        className="flex flex-col gap-4"
        noValidate
        onSubmit={(event) => void form.handleSubmit((fields) => give.mutate(fields))(event)}
      >
        <SelectField
          label={t('handOver.to')}
          {...form.register('toAccountId', { required: t('handOver.choose') })}
          problem={form.formState.errors.toAccountId?.message}
        >
          <option value="">{t('handOver.choose')}</option>
          {colleagues.map((other) => (
            <option key={other.accountId} value={other.accountId}>
              {other.name}
            </option>
          ))}
        </SelectField>
        <DialogEnd
          failure={give.isError ? wordsFor(give.error) : null}
          send={t('handOver.send')}
          sending={give.isPending}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}
