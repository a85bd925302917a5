import { compileServices, contentKinds, type Content } from '@hapset/core';
import { compileRe2 } from '@hapset/core/re2';
import { ProblemError } from '../../platform/problem/problem.js';
import { readInstalledServices } from '../service-description/installed-services.js';
import { demoServices } from '../../test/test-server.js';
import { newMaterial, tidyTags } from './new-material.js';

const now = new Date('2026-11-20T09:00:00Z');
const services = compileServices(
  readInstalledServices(demoServices).map(({ description }) => description),
  compileRe2,
);
const make = (item: object) =>
  newMaterial(
    { pasted: 'x', repairs: [], ...item },
    { ownerId: 'owner', createdAt: now, catalogue: services, path: 'items.3' },
  );

describe('a new material', () => {
  it('takes title and kind from its address, until the page’s own is known', () => {
    expect(make({ link: 'http://cofferlane.localhost:1/crate/photo-bank' })).toMatchObject({
      kind: 'folder',
      title: 'Photo bank',
      titleSource: 'address',
      words: null,
      content: null,
      ownerId: 'owner',
      version: 1,
    });
  });

  it('takes the kind that was chosen over the one that was recognised', () => {
    expect(make({ link: 'http://cofferlane.localhost:1/crate/photo-bank', kind: 'video' })).toMatchObject({
      kind: 'video',
    });
  });

  it('takes the teacher’s title and instruction over all', () => {
    expect(make({ link: 'https://a.example/x', title: ' Tides ', instruction: ' Look. ' })).toMatchObject({
      title: 'Tides',
      titleSource: 'person',
      instruction: 'Look.',
    });
  });

  it('has an instruction that names what to tap, for every kind', () => {
    const contents: readonly Content[] = [
      { kind: 'contact', givenName: 'T', familyName: 'Q', organisation: '', phone: '', email: '', webPage: '' },
      { kind: 'event', title: 'Walk', date: '2027-06-12', startsAt: '', endsAt: '', place: '', about: '' },
      { kind: 'place', name: 'Cove', latitude: 53, longitude: -6 },
      { kind: 'e-mail', address: 'a@b.example', subject: '', text: '' },
      { kind: 'phone', number: '112', name: '' },
      { kind: 'text-message', number: '112', text: 'Here' },
      { kind: 'network', name: 'Guests', security: 'open', password: '', hidden: false },
    ];
    expect(contents.map((content) => content.kind)).toEqual([...contentKinds]);
    const instructions = [
      make({ link: 'https://a.example' }),
      make({ words: 'Who?' }),
      ...contents.map((content) => make({ content })),
    ].map((material) => material.instruction);
    expect(new Set(instructions).size).toBe(instructions.length);
    for (const instruction of instructions) expect(instruction).toMatch(/^Point your camera here\b.*\.$/);
  });

  it('holds exactly one thing, and says where it does not', () => {
    for (const item of [
      {},
      { link: 'https://a.example', words: 'x' },
      { words: 'x', content: { kind: 'phone', number: '112', name: '' } },
    ]) {
      expect(() => make(item)).toThrow(ProblemError);
      try {
        make(item);
      } catch (error) {
        expect((error as ProblemError).more.fields).toEqual([
          { field: 'items.3', message: 'needs exactly one of link, words, content and kept' },
        ]);
      }
    }
  });

  it('keeps what is kept here under an address that nobody guesses', () => {
    const kept = { kind: 'written-page', document: { type: 'doc', content: [{ type: 'script' }] } };
    const made = make({ kept });
    expect(made).toMatchObject({
      kind: 'written-page',
      title: 'Written page',
      titleSource: 'person',
      link: null,
      words: null,
      kept: { kind: 'written-page', document: { type: 'doc', content: [] } },
    });
    expect(made.pageToken).toMatch(/^[a-z2-9]{16}$/);
    expect(make({ kept }).pageToken).not.toBe(made.pageToken);
    expect(make({ words: 'x' }).pageToken).toBeNull();
    expect(() => make({ kept: { kind: 'picture-set', pictures: [] } })).toThrow(ProblemError);
  });

  it('always has a title', () => {
    expect(make({ words: '\n' }).title).toBe('Without a title');
    expect(make({ words: 'x'.repeat(2000) }).title.length).toBeLessThanOrEqual(200);
  });

  it('has each tag once', () => expect(tidyTags(['A', ' A ', 'b,c', ''])).toEqual(['A', 'b', 'c']));
});
