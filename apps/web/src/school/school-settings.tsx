import { paperChoices, routes, type AddressesOnPaper, type ChangeSchool, type SchoolView } from '@hapset/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { call } from '../api/client.js';
import { ApiError } from '../api/problem-error.js';
import { Button } from '../design/button.js';
import { ChoiceField, TextArea, TextField } from '../design/field.js';
import { useNotice } from '../design/notice.js';
import { Sheet } from '../design/sheet.js';
import { StateMark } from '../design/state-mark.js';
import { plural } from '../wording/figures.js';
import { wordsFor } from '../wording/problems.js';
import { schoolKeys } from './school.keys.js';

type Fields = Omit<ChangeSchool, 'version' | 'shortLinkHost' | 'visitorNetworks'> & { shortLinkHost: string; /** One a line. */ visitorNetworks: string };

const paperWords = { A4: 'A4', Letter: 'Letter (8.5 × 11 in)' } as const;

/** Settings of the school: a form for the administrator, a list to read for everybody else. */
export function SchoolSettings({ school, mayChange }: { readonly school: SchoolView; readonly mayChange: boolean }): ReactElement {
  return <Sheet title="Settings">{mayChange ? <SettingsForm school={school} /> : <SettingsList school={school} />}</Sheet>;
}

function SettingsList({ school }: { readonly school: SchoolView }): ReactElement {
  const rows = [
    ['Time zone', school.timeZone],
    ['Paper', paperWords[school.paper]],
    ['Public address', school.publicAddress],
    ['Short-link host', school.shortLinkHost ?? 'none yet'],
    ['Codes inspected without signing in', school.visitorNetworks.length === 0 ? 'nowhere' : `from ${school.visitorNetworks.join(', ')}`],
  ];
  return (
    <>
      <dl className="m-0 grid grid-cols-[auto_1fr] gap-x-6 gap-y-2 text-[14.5px]">
        {rows.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="text-muted">{name}</dt>
            <dd className="m-0 break-all">{value}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-3 mb-0 text-[13.5px] text-muted">The school’s administrator changes these.</p>
    </>
  );
}

function SettingsForm({ school }: { readonly school: SchoolView }): ReactElement {
  const client = useQueryClient();
  const notice = useNotice();
  const form = useForm<Fields>({ defaultValues: { ...school, shortLinkHost: school.shortLinkHost ?? '', visitorNetworks: school.visitorNetworks.join('\n') } });
  const change = useMutation({
    mutationFn: ({ name, timeZone, paper, publicAddress, shortLinkHost, visitorNetworks }: Fields) =>
      call(routes.changeSchool, { body: { name: name.trim(), timeZone: timeZone.trim(), paper, publicAddress: publicAddress.trim(), shortLinkHost: shortLinkHost.trim() || null, visitorNetworks: visitorNetworks.split(/[\s,]+/).filter((network) => network !== ''), version: school.version } }),
    onSuccess: async () => {
      notice({ words: 'The settings are kept.' });
      await client.invalidateQueries();
    },
    onError: (error) => (error instanceof ApiError && error.reason === 'stale' ? client.invalidateQueries({ queryKey: schoolKeys.school }) : undefined),
  });
  const problems = new Map(change.error instanceof ApiError ? change.error.fields.map(({ field }) => [field, fieldWords[field as keyof Fields] ?? 'This needs another value.']) : []);
  return (
    <form className="flex flex-col gap-4" noValidate onSubmit={(event) => void form.handleSubmit((fields) => change.mutate(fields))(event)}>
      <TextField label="Name" {...form.register('name')} problem={problems.get('name')} />
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField label="Time zone" hint="For example Europe/Dublin." {...form.register('timeZone')} problem={problems.get('timeZone')} />
        <ChoiceField choices={paperChoices} words={paperWords} label="Paper" {...form.register('paper')} />
      </div>
      <TextField label="Public address" hint="Under which phones reach this server." {...form.register('publicAddress')} problem={problems.get('publicAddress')} />
      <TextField label="Short-link host" hint="A short name of the school’s own, if it has one: k.school.example" {...form.register('shortLinkHost')} problem={problems.get('shortLinkHost')} />
      <OnPaper moved={form.formState.dirtyFields.publicAddress === true} renamed={form.formState.dirtyFields.shortLinkHost === true} before={school} />
      <TextArea
        label="Networks where codes are inspected without signing in"
        hint="One a line, for example 10.20.0.0/16. Left empty, only staff let the server follow a link."
        rows={2}
        {...form.register('visitorNetworks')}
        problem={problems.get('visitorNetworks')}
      />
      {change.isError && (
        <p role="alert" className="m-0 text-[14px] font-semibold text-stop">
          {wordsFor(change.error)}
        </p>
      )}
      <div>
        <Button type="submit" tone="main" disabled={change.isPending}>
          Keep the settings
        </Button>
      </div>
    </form>
  );
}

/** What a change of addresses means for what hangs on walls already. */
function OnPaper({ moved, renamed, before }: { readonly moved: boolean; readonly renamed: boolean; readonly before: SchoolView }): ReactElement | null {
  const printed = useQuery({ queryKey: schoolKeys.onPaper, queryFn: ({ signal }): Promise<AddressesOnPaper> => call(routes.onPaper, { signal }), enabled: moved || renamed }).data;
  if (!printed || (!moved && !renamed)) return null;
  const pages = moved ? printed.pages : 0;
  const shortLinks = renamed || (moved && before.shortLinkHost === null) ? printed.shortLinks : 0;
  if (pages + shortLinks === 0) return <p className="m-0 text-[14px] text-muted">No sheet carries the present address.</p>;
  return (
    <p role="status" className="m-0 flex gap-2 text-[14px]">
      <StateMark mark="look-at" words="To be looked at" />
      <span>
        {plural(pages + shortLinks, 'sheet')} on paper {pages + shortLinks === 1 ? 'carries' : 'carry'} the present address. {pages + shortLinks === 1 ? 'It works' : 'They work'} on as long as the old name still leads to this server; short links under an old name stay valid here.
      </span>
    </p>
  );
}

const fieldWords: Readonly<Record<keyof Fields, string>> = {
  name: 'The school needs a name.',
  timeZone: 'There is no such time zone. Write it as Europe/Dublin.',
  paper: 'Choose one of the papers.',
  publicAddress: 'Write a whole address that begins with http:// or https://.',
  visitorNetworks: 'Write each network as its first address and a length, like 10.20.0.0/16, or one address alone.',
  shortLinkHost: 'Write a host name only, without http:// and without a path.',
};
