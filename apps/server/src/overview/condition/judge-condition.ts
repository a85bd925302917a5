/** What the figures of a running server mean. It looks at nothing itself. */
import type { ConditionCheck, ConditionName, ConditionState } from '@hapset/contract';

/** Times are milliseconds since 1970. */
export interface ConditionFacts {
  readonly now: number;
  /** Null while it can't be asked. */
  readonly database: { readonly now: number; readonly migration: string } | null;
  /** Of the folder with kept files; null where it can't be read. */
  readonly disk: { readonly freeBytes: number; readonly allBytes: number } | null;
  readonly filesWritable: boolean;
  readonly publicAddress: string;
  /** Whether this server answers itself at its public address. */
  readonly addressAnswers: boolean;
  /** The last phone that came by the public address; null while none has. */
  readonly phoneAt: number | null;
  readonly queue: { readonly waiting: number; readonly failed: number; readonly oldestAt: number | null };
  readonly backup: { readonly madeAt: number; readonly problem: string | null } | null;
  readonly browser: 'ready' | 'missing' | 'does-not-start';
  readonly office: boolean;
}

const minuteMs = 60_000;
const hourMs = 60 * minuteMs;
/** Of the disk: what a start needs; below it nothing can be kept. */
export const leastFreeBytes = 2e9;
const scarceBytes = 10e9;
const scarceShare = 0.1;
/** Sessions, lessons' hours and leases are held against both clocks. */
const clockMs = 5000;
const waitsLongMs = 15 * minuteMs;
const backupMs = 50 * hourMs;

type Facts = ConditionCheck['facts'];
type Judge = (facts: ConditionFacts) => readonly [ConditionState, Facts];

const judges: Readonly<Record<ConditionName, Judge>> = {
  database: ({ database }) => [database ? 'good' : 'stop', { migration: database?.migration ?? '' }],
  disk: ({ disk }) => {
    if (!disk) return ['stop', {}];
    const { freeBytes, allBytes } = disk;
    const isScarce = freeBytes < scarceBytes && freeBytes < allBytes * scarceShare;
    return [freeBytes < leastFreeBytes ? 'stop' : isScarce ? 'attention' : 'good', { freeBytes }];
  },
  files: ({ filesWritable }) => [filesWritable ? 'good' : 'stop', {}],
  address: ({ publicAddress, addressAnswers }) => [addressAnswers ? 'good' : 'attention', { address: publicAddress }],
  phone: ({ phoneAt }) => (phoneAt === null ? ['attention', {}] : ['good', { at: iso(phoneAt) }]),
  https: ({ publicAddress }) => [publicAddress.startsWith('https://') ? 'good' : 'attention', {}],
  clock: ({ database, now }) => {
    const apartMs = database ? Math.abs(database.now - now) : 0;
    return [apartMs > clockMs ? 'attention' : 'good', { seconds: Math.round(apartMs / 1000) }];
  },
  queue: ({ queue: { waiting, failed, oldestAt }, now }) => {
    const isLate = oldestAt !== null && now - oldestAt > waitsLongMs;
    const facts = { waiting, failed, ...(oldestAt !== null && { oldest: iso(oldestAt) }) };
    return [failed > 0 || isLate ? 'attention' : 'good', facts];
  },
  backup: ({ backup, now }) => {
    if (!backup) return ['attention', {}];
    if (backup.problem !== null) return ['stop', { at: iso(backup.madeAt), problem: backup.problem }];
    return [now - backup.madeAt > backupMs ? 'attention' : 'good', { at: iso(backup.madeAt) }];
  },
  browser: ({ browser }) => [browser === 'ready' ? 'good' : 'attention', { browser }],
  office: ({ office }) => [office ? 'good' : 'attention', {}],
};

/** In the order of the page. */
export function judgeCondition(facts: ConditionFacts): readonly ConditionCheck[] {
  return Object.entries(judges).map(([name, judge]) => {
    const [state, figures] = judge(facts);
    return { name: name as ConditionName, state, facts: figures };
  });
}

function iso(ms: number): string {
  return new Date(ms).toISOString();
}
