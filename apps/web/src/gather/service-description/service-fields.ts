/** A description as the fields of a form, and back: lists are written one a line. */
import type {
  AccessVerdict,
  AddressDescription,
  AddressRole,
  LinkKind,
  FixDescription,
  RightDescription,
  ServiceDescription,
  WallDescription,
} from '@hapset/core';

export interface ServiceFields {
  id: string;
  name: string;
  hosts: string;
  addresses: AddressFields[];
  walls: WallFields[];
  fixes: FixFields[];
  rights: RightFields[];
  tracking: string;
  shorteners: string;
}
export interface AddressFields {
  role: AddressRole;
  kind: LinkKind;
  path: string;
  pattern: string;
  studentLink: string;
  steps: string;
}
export interface WallFields {
  verdict: WallDescription['verdict'];
  host: string;
  words: string;
  pattern: string;
}
export interface FixFields {
  verdicts: AccessVerdict[];
  steps: string;
  ownerPage: string;
}

export interface RightFields {
  can: RightDescription['can'];
  words: string;
}

export const noAddress: AddressFields = {
  role: 'student',
  kind: 'document',
  path: '/',
  pattern: '',
  studentLink: '',
  steps: '',
};
export const noWall: WallFields = { verdict: 'sign-in', host: '', words: '', pattern: '' };
export const noFix: FixFields = { verdicts: ['sign-in', 'named-only'], steps: '', ownerPage: '' };
export const noRight: RightFields = { can: 'change', words: '' };
/** Verdicts that steps can fix. */
export const fixable: readonly AccessVerdict[] = [
  'sign-in',
  'organisation',
  'named-only',
  'closed',
  'missing',
  'partial',
  'obstructed',
  'open-editable',
  'failing',
  'unknown',
];

export function toServiceFields(description: ServiceDescription | null): ServiceFields {
  const {
    id = '',
    name = '',
    hosts = [],
    addresses = [],
    walls = [],
    fixes = [],
    rights = [],
    tracking = [],
    shorteners = [],
  } = description ?? {};
  return {
    id,
    name,
    hosts: hosts.join('\n'),
    addresses: addresses.map(({ role, kind, path = '', pattern = '', studentLink = '', steps = [] }) => ({
      role,
      kind,
      path,
      pattern,
      studentLink,
      steps: steps.join('\n'),
    })),
    walls: walls.map(({ verdict, host = '', words = [], pattern = '' }) => ({
      verdict,
      host,
      words: words.join('\n'),
      pattern,
    })),
    fixes: fixes.map(({ verdicts, steps, ownerPage = '' }) => ({
      verdicts: [...verdicts],
      steps: steps.join('\n'),
      ownerPage,
    })),
    rights: rights.map(({ can, words }) => ({ can, words: words.join('\n') })),
    tracking: tracking.join('\n'),
    shorteners: shorteners.join('\n'),
  };
}

/** Empty fields are left out. */
export function toDescription(fields: ServiceFields): ServiceDescription {
  const [tracking, shorteners] = [lines(fields.tracking), lines(fields.shorteners)];
  return {
    id: fields.id.trim(),
    name: fields.name.trim(),
    hosts: lines(fields.hosts),
    addresses: fields.addresses.map(toAddress),
    walls: fields.walls.map(toWall),
    fixes: fields.fixes.map(toFix),
    ...(fields.rights.length > 0 && { rights: fields.rights.map(({ can, words }) => ({ can, words: lines(words) })) }),
    ...(tracking.length > 0 && { tracking }),
    ...(shorteners.length > 0 && { shorteners }),
  };
}

function toAddress({ role, kind, path, pattern, studentLink, steps }: AddressFields): AddressDescription {
  return {
    role,
    kind,
    ...given('path', path),
    ...given('pattern', pattern),
    ...(role !== 'student' && { ...given('studentLink', studentLink), ...givenLines('steps', steps) }),
  };
}

function toWall({ verdict, host, words, pattern }: WallFields): WallDescription {
  return { verdict, ...given('host', host), ...givenLines('words', words), ...given('pattern', pattern) };
}

function toFix({ verdicts, steps, ownerPage }: FixFields): FixDescription {
  return { verdicts, steps: lines(steps), ...given('ownerPage', ownerPage) };
}

function given<Name extends string>(name: Name, text: string): Partial<Record<Name, string>> {
  return text.trim() === '' ? {} : ({ [name]: text.trim() } as Record<Name, string>);
}

function givenLines<Name extends string>(name: Name, text: string): Partial<Record<Name, readonly string[]>> {
  const all = lines(text);
  return all.length === 0 ? {} : ({ [name]: all } as Record<Name, readonly string[]>);
}

function lines(text: string): readonly string[] {
  return text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
}

/** "Shell box 2" gives "shell-box-2". */
export function idFromName(name: string): string {
  return name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);
}

/** The form's field for a place in the description: "hosts.3" is in "hosts", "addresses.0" is seen at its path. */
export function fieldOf(path: string): string {
  const [list = '', index, field] = path.split('.');
  if (!['addresses', 'walls', 'fixes', 'rights'].includes(list)) return list;
  if (field !== undefined) return `${list}.${index}.${field}`;
  return index === undefined
    ? list
    : `${list}.${index}.${{ addresses: 'path', walls: 'words', fixes: 'steps', rights: 'words' }[list as 'walls']}`;
}
