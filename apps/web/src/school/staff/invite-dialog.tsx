import { limits, roles, routes, type Invite } from '@hapset/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { call } from '../../platform/api/client.js';
import { Dialog, DialogEnd } from '../../platform/design/dialog.js';
import { TextField } from '../../platform/design/field.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { LinkMade, pageOf } from './link-made.js';
import { RoleChoice } from './role-choice.js';
import { staffQuery } from './staff.queries.js';
import { t } from './words.js';

export function InviteDialog({ onClose }: { readonly onClose: () => void }): ReactElement {
  const client = useQueryClient();
  const form = useForm<Invite>({ defaultValues: { role: roles[0], note: '' } });
  const invite = useMutation({
    mutationFn: (body: Invite) => call(routes.invite, { body }),
    onSuccess: () => client.invalidateQueries({ queryKey: staffQuery.queryKey }),
  });
  if (invite.data)
    return (
      <Dialog title={t('invite.made')} about={t('invite.madeAbout')} onClose={onClose}>
        <LinkMade made={invite.data} page={pageOf(invite.data)} onClose={onClose} />
      </Dialog>
    );
  return (
    <Dialog title={t('invite.title')} about={t('invite.about')} onClose={onClose}>
      <form
        className="flex flex-col gap-4"
        noValidate
        onSubmit={(event) => void form.handleSubmit((fields) => invite.mutate(fields))(event)}
      >
        <TextField
          label={t('invite.forWhom')}
          hint={t('invite.forWhomHint')}
          maxLength={limits.nameLength}
          autoFocus
          {...form.register('note')}
        />
        <RoleChoice field={form.register('role')} />
        <DialogEnd
          failure={invite.isError ? wordsFor(invite.error) : null}
          send={t('invite.send')}
          sending={invite.isPending}
          onCancel={onClose}
        />
      </form>
    </Dialog>
  );
}
