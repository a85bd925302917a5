import { type Shape, signInForm, verdictOf } from '../../test/sample-evidence.js';

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
    ['a page with a sound and hardly a word', { page: { visibleCharacters: 12, scripts: 1, media: 1 } }],
    ['a file', { page: null, contentType: 'application/pdf' }],
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
      'a short story of something that was not found',
      { page: { title: 'Bello, nicht gefunden', visibleCharacters: 400 } },
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
  ])('%s', (_, shape) => expect(verdictOf(shape)).toBe('open'));
});
