/** What the demo's teachers have put there before the story begins. */
import type { Contents } from './contents.js';

const maren = 'Maren Dallow';
const tobiah = 'Tobiah Quill';
const common = { chosen: [] as string[], until: null };

export const firstContents: Contents = {
  leaves: {
    'field-guide-to-limpets': {
      ...common,
      title: 'Field guide to limpets',
      owner: maren,
      door: 'school',
      mayChange: false,
      paragraphs: [
        'Look for a low cone stuck to bare rock. Count the ribs that run from the tip to the rim.',
        'Press a wet finger beside the shell, never on it. A limpet that feels you clamps down and can stay so for hours.',
        'Find its home scar: a ring in the rock into which this one shell fits. Measure it and leave everything as it was.',
      ],
    },
    'what-yeast-eats': {
      ...common,
      title: 'What yeast eats',
      owner: maren,
      door: 'open',
      mayChange: false,
      paragraphs: ['Yeast is a living thing. It eats sugar and breathes out the gas that lifts the dough.', 'Warm water wakes it, hot water kills it.'],
    },
    'how-our-shelves-work': {
      ...common,
      title: 'How our shelves work',
      owner: tobiah,
      door: 'open',
      mayChange: false,
      paragraphs: ['Every shelf has a colour and a number. The colour says what a book is about, the number says where it stands.'],
    },
    'school-library-page': {
      ...common,
      title: 'The library of Fernhollow School',
      owner: tobiah,
      door: 'open',
      mayChange: false,
      paragraphs: ['Open every day from the second bell. Three books at a time, four weeks each.', 'Ask Mr Quill for the key to the map drawer.'],
    },
    'staff-minutes': {
      ...common,
      title: 'Minutes of the science group',
      owner: tobiah,
      door: 'chosen',
      chosen: [tobiah],
      mayChange: false,
      paragraphs: ['For the science group only.'],
    },
  },
  crates: {
    'photo-bank-north-cove': {
      ...common,
      title: 'Photo bank, north cove',
      owner: maren,
      door: 'open',
      mayChange: false,
      items: [
        { name: 'cove-01', about: 'The cove at low tide', door: 'open' },
        { name: 'cove-02', about: 'Rock pool with three anemones', door: 'open' },
        { name: 'cove-03', about: 'Limpets on the east wall', door: 'open' },
        { name: 'cove-04', about: 'Bladder wrack, close up', door: 'school' },
        { name: 'cove-05', about: 'A hermit crab changes house', door: 'open' },
      ],
    },
  },
  asks: {
    'tide-line-tally': {
      ...common,
      title: 'Tide-line tally',
      owner: maren,
      door: 'open',
      about: 'Count what you find in one square of the frame. One sheet for each pair.',
      questions: ['Which square did you count?', 'How many limpets?', 'How many periwinkles?', 'What else did you see?'],
      taking: true,
      answers: 0,
      limit: null,
      once: false,
    },
    'rising-dough-log': {
      ...common,
      title: 'Rising dough log',
      owner: maren,
      door: 'open',
      about: 'Measure the dough every ten minutes.',
      questions: ['How warm is the water?', 'How high is the dough now?'],
      taking: false,
      answers: 26,
      limit: null,
      once: false,
    },
    'which-rock-pool': {
      ...common,
      title: 'Which rock pool?',
      owner: maren,
      door: 'open',
      about: 'Choose the pool that your group will draw.',
      questions: ['Your group', 'The pool'],
      taking: true,
      answers: 30,
      limit: 30,
      once: true,
    },
  },
  reels: {
    'a-limpet-walks': { title: 'A limpet walks', owner: maren, about: 'Eight hours of a limpet, in eight seconds. It goes to graze, and it comes home to its own scar.', showing: 'by-link', before: 'nothing', embedding: false },
    'yeast-at-work': { title: 'Yeast at work', owner: maren, about: 'Dough in a glass, one picture a minute.', showing: 'dark', before: 'nothing', embedding: true },
    'gulls-at-night': { title: 'Gulls at night', owner: tobiah, about: 'What a gull does when nobody looks.', showing: 'public', before: 'candles', embedding: true },
    'boats-come-in': { title: 'Boats come in', owner: tobiah, about: 'Eleven boats and one tide.', showing: 'public', before: 'crumbs', embedding: true },
  },
  tones: {
    'waves-at-the-pier': { ...common, title: 'Waves at the pier', owner: maren, door: 'school', about: 'Close your eyes and count them.', hertz: 110, mayTake: false },
    foghorn: { ...common, title: 'The foghorn', owner: tobiah, door: 'open', about: 'It sounds twice, and then it waits.', hertz: 82, mayTake: true },
    'last-years-song': { ...common, title: 'Last year’s song', owner: maren, door: 'open', until: '2026-06-30', about: 'The song of the summer fair.', hertz: 294, mayTake: false },
  },
  nips: { foghorn: 'http://hushtone.localhost:{port}/tone/foghorn' },
};
