import { compileServices } from '../../gather/service-description/catalogue.js';
import { compileRe2 } from '../../gather/service-description/re2-pattern.js';
import { evidence, type Shape, signInForm, verdictOf } from '../../test/sample-evidence.js';
import { cofferlane, sampleCatalogue } from '../../test/sample-services.js';
import type { FormFacts } from './evidence.js';
import type { VerdictReason } from './judgement.js';
import { judgeAccess } from './verdict.js';

const form = (...fields: readonly string[]): FormFacts => ({ action: '', method: 'post', fields, buttons: ['Send'] });

describe('what lets every student in', () => {
  it.each<[string, Shape]>([
    ['a plain page', { page: { title: 'Tides' } }],
    ['a page with a sign-in link in its corner', { page: { title: 'Tides', firstLines: ['Sign in', 'The tides'] } }],
    [
      'a page with a sign-in form beside its text',
      { page: { title: 'School news', visibleCharacters: 6000, forms: [signInForm] } },
    ],
    [
      'an article about passwords',
      {
        page: {
          title: 'How to log in safely',
          firstLines: ['Please log in only where you know the address.'],
          visibleCharacters: 9000,
        },
      },
    ],
    [
      'a form that asks for a new password twice',
      {
        page: {
          title: 'Club membership',
          visibleCharacters: 500,
          forms: [{ action: '', method: 'post', fields: ['text', 'password', 'password'], buttons: ['Join'] }],
        },
      },
    ],
    [
      'an address that merely contains "login"',
      { asked: 'https://a.example/login-stories', page: { title: 'Stories' } },
    ],
    ['a page that moved to another address', { final: 'https://a.example/en/leaf/x', page: { title: 'Tides' } }],
    [
      'a long article on things that were not found',
      {
        page: { title: 'Shipwrecks', firstLines: ['The wreck was not found for a century.'], visibleCharacters: 8000 },
      },
    ],
    [
      'a short page with several fields',
      {
        page: {
          title: 'Lost and not found',
          visibleCharacters: 300,
          forms: [{ action: '', method: 'post', fields: ['text', 'textarea'], buttons: ['Send'] }],
        },
      },
    ],
    ['a page with a sound and hardly a word', { page: { visibleCharacters: 12, scripts: 1, media: 1, players: 1 } }],
    ['a file', { page: null, contentType: 'application/pdf' }],
    [
      'a short story of something that was not found',
      { page: { title: 'Bello, nicht gefunden', visibleCharacters: 400 } },
    ],
  ])('%s', (_, shape) => expect(verdictOf(shape)).toBe('open'));
});

describe('what may be open, though nothing on it proves that', () => {
  it.each<[string, Shape]>([
    [
      'a lesson that asks how old somebody is',
      { page: { title: 'How old are you?', firstLines: ['I am nine.'], visibleCharacters: 60 } },
    ],
    ['a lesson on privacy', { page: { title: 'Votre vie privée: à vous de jouer', visibleCharacters: 200 } }],
    [
      'opening hours',
      { page: { title: 'Museum', firstLines: ['The museum opens on Tuesdays.'], visibleCharacters: 90 } },
    ],
    [
      'a sign-up list, which is no sign-in',
      {
        page: {
          title: 'Anmelden zum Sommerfest',
          visibleCharacters: 90,
          forms: [{ action: '', method: 'post', fields: ['text', 'text'], buttons: ['Anmelden'] }],
        },
      },
    ],
    ['a heading and a sentence', { page: { title: 'Tides', visibleCharacters: 399 } }],
    [
      'a sentence in a writing that needs no letters',
      { page: { firstLines: ['砂州が動いた。'], visibleCharacters: 159 } },
    ],
    ['a text that is in a dialog', { page: { visibleCharacters: 2000, contentCharacters: 10 } }],
    ['a player that names nothing to play', { page: { visibleCharacters: 30, media: 1, players: 0 } }],
    ['a field for a code', { page: { visibleCharacters: 80, forms: [form('text')] } }],
    ['a password alone', { page: { visibleCharacters: 80, forms: [form('password')] } }],
    ['a letter to the owner', { page: { visibleCharacters: 80, forms: [form('textarea')] } }],
    [
      'questions about who one is',
      { page: { visibleCharacters: 80, forms: [form('text', 'email', 'radio', 'radio')] } },
    ],
    ['a file that no phone shows', { page: null, contentType: 'application/x-odd' }],
  ])('%s', (_, shape) => {
    const { verdict, reasons } = judgeAccess(evidence(shape), sampleCatalogue);
    expect([verdict, reasons.map(({ reason }) => reason)]).toEqual(['unknown', ['no-proof']]);
  });
});

it('a short page that came slowly is not said to open slowly', () => {
  const slow = { ...evidence({ page: { visibleCharacters: 80 } }), elapsedMs: 9000 };
  expect(judgeAccess(slow, sampleCatalogue).verdict).toBe('unknown');
});

describe('what proves that it is open', () => {
  it.each<[VerdictReason, Shape]>([
    ['shows-content', { page: { visibleCharacters: 400 } }],
    ['shows-content', { page: { firstLines: ['砂州が動いた。'], visibleCharacters: 160 } }],
    ['plays-media', { page: { visibleCharacters: 20, players: 1 } }],
    ['asks-questions', { page: { visibleCharacters: 80, forms: [form('radio', 'radio')] } }],
    ['asks-questions', { page: { visibleCharacters: 80, forms: [form('checkbox', 'checkbox')] } }],
    ['asks-questions', { page: { visibleCharacters: 80, forms: [form('text', 'textarea')] } }],
    ['opened-file', { page: null, contentType: 'image/png' }],
  ])('%s', (reason, shape) => {
    const { verdict, reasons } = judgeAccess(evidence(shape), sampleCatalogue);
    expect([verdict, reasons.map((found) => found.reason)]).toEqual(['open', [reason]]);
  });
  it('is a place to write into, which is told as that', () => {
    const text = { ...form('textarea'), buttons: ['Save'], filledCharacters: 80 };
    expect(verdictOf({ page: { visibleCharacters: 90, forms: [text] } })).toBe('open-editable');
    expect(verdictOf({ page: { visibleCharacters: 90, forms: [{ ...text, filledCharacters: 79 }] } })).toBe('unknown');
    expect(verdictOf({ page: { visibleCharacters: 90, editableCharacters: 20 } })).toBe('open-editable');
    expect(verdictOf({ page: { visibleCharacters: 90, editableCharacters: 19 } })).toBe('unknown');
  });
  it('is what a service’s description knows of its pages', () => {
    const shape = { page: { visibleCharacters: 60, firstLines: ['A board of Ansel Quill'] } };
    expect(judgeAccess(evidence(shape), sampleCatalogue).verdict).toBe('unknown');
    const knowing = compileServices(
      [{ ...cofferlane, hosts: ['a.example'], walls: [], rights: [{ can: 'look', words: ['A board of'] }] }],
      compileRe2,
    );
    expect(judgeAccess(evidence(shape), knowing)).toEqual({
      verdict: 'open',
      reasons: [{ reason: 'service-says-open', detail: 'A board of' }],
    });
  });
  it('is what opens in it', () => {
    const page = evidence({ page: { visibleCharacters: 60 } });
    const inside = (verdict: 'open' | 'unknown') => [{ name: 'x', address: 'https://a.example/x', verdict, depth: 1 }];
    expect(judgeAccess({ ...page, inside: inside('unknown') }, sampleCatalogue).verdict).toBe('unknown');
    expect(judgeAccess({ ...page, inside: inside('open') }, sampleCatalogue).verdict).toBe('open');
  });
});
