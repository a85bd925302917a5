/**
 * What was typed and not saved yet, kept in this browser until it is saved or discarded: after a reload, a crash or an
 * outage it is offered again. Each account has its own, and each tab of the browser. Passwords and lists of students
 * never come here.
 */

import { v4 as uuid } from 'uuid';
import { serverClock } from '../clock/server-clock.js';
import { ownStorage, type OwnStorage } from '../storage/own-storage.js';

/** Older ones are of no use to anybody. */
const daysKept = 14;
/** Of one draft, as JSON. */
const mostCharacters = 400_000;
const mostDrafts = 50;
/** Of one place, in several tabs. */
const mostInPlace = 3;
const prefix = 'hapset draft ';

/** A draft with the time of its last change. */
export interface Draft {
  /** Where it is kept. */
  readonly key: string;
  /** Milliseconds since 1970. */
  readonly savedAt: number;
  readonly value: unknown;
}

export class Drafts {
  /** @param tab tells this tab’s drafts from those of others */
  constructor(
    private readonly storage: OwnStorage,
    private readonly now: () => number = Date.now,
    private readonly tab = uuid().slice(0, 8),
  ) {}

  /**
   * The newest first, of all tabs.
   * @param place what was filled in, like `lesson 0194…`. @returns those that can be read
   */
  find(accountId: string, place: string): readonly Draft[] {
    const start = keyOf(accountId, place, '');
    return this.keys()
      .filter((key) => key.startsWith(start) && !key.slice(start.length).includes(' '))
      .flatMap((key) => this.read(key) ?? [])
      .sort((one, other) => other.savedAt - one.savedAt);
  }

  /** A full or forbidden storage is no reason to stop anybody from typing. */
  save(accountId: string, place: string, value: unknown): void {
    const text = JSON.stringify({ savedAt: this.now(), value });
    if (text.length > mostCharacters) return;
    try {
      this.storage.setItem(keyOf(accountId, place, this.tab), text);
    } catch {
      return;
    }
    for (const { key } of this.find(accountId, place).slice(mostInPlace)) this.storage.removeItem(key);
    this.tidy();
  }

  /** This tab’s. */
  remove(accountId: string, place: string): void {
    this.storage.removeItem(keyOf(accountId, place, this.tab));
  }

  removeFound({ key }: Draft): void {
    this.storage.removeItem(key);
  }

  /** How many an account has on this device. */
  count(accountId: string): number {
    this.tidy();
    return this.keys().filter((key) => key.startsWith(`${prefix}${accountId} `)).length;
  }

  removeAll(accountId: string): void {
    for (const key of this.keys()) if (key.startsWith(`${prefix}${accountId} `)) this.storage.removeItem(key);
  }

  /** Removes what is old, and the oldest where there are many. */
  private tidy(): void {
    const known = this.keys()
      .map((key) => ({ key, savedAt: this.read(key)?.savedAt ?? 0 }))
      .sort((one, other) => other.savedAt - one.savedAt);
    const oldest = this.now() - daysKept * 24 * 3600 * 1000;
    for (const [index, { key, savedAt }] of known.entries())
      if (savedAt < oldest || index >= mostDrafts) this.storage.removeItem(key);
  }

  private keys(): readonly string[] {
    return Array.from({ length: this.storage.length }, (_, index) => this.storage.key(index) ?? '').filter((key) =>
      key.startsWith(prefix),
    );
  }

  private read(key: string): Draft | null {
    try {
      const draft = JSON.parse(this.storage.getItem(key) ?? 'null') as Partial<Draft> | null;
      return typeof draft?.savedAt === 'number' ? { key, savedAt: draft.savedAt, value: draft.value } : null;
    } catch {
      return null;
    }
  }
}

function keyOf(accountId: string, place: string, tab: string): string {
  return `${prefix}${accountId} ${place} ${tab}`;
}

export const drafts = new Drafts(ownStorage(), serverClock.now);
