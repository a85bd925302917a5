/** What the demo's teachers have put there before the story begins. */
import type { Contents } from './contents.js';

const maren = 'Maren Dallow';
const tobiah = 'Tobiah Quill';
const common = { chosen: [] as string[], mayChange: false };

export const firstContents: Contents = {
  leaves: {
    'field-guide-to-limpets': {
      ...common,
      title: 'Field guide to limpets',
      owner: maren,
      door: 'school',
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
      paragraphs: ['Yeast is a living thing. It eats sugar and breathes out the gas that lifts the dough.', 'Warm water wakes it, hot water kills it.'],
    },
    'how-our-shelves-work': {
      ...common,
      title: 'How our shelves work',
      owner: tobiah,
      door: 'open',
      paragraphs: ['Every shelf has a colour and a number. The colour says what a book is about, the number says where it stands.'],
    },
    'school-library-page': {
      ...common,
      title: 'The library of Fernhollow School',
      owner: tobiah,
      door: 'open',
      paragraphs: ['Open every day from the second bell. Three books at a time, four weeks each.', 'Ask Mr Quill for the key to the map drawer.'],
    },
    'staff-minutes': {
      ...common,
      title: 'Minutes of the science group',
      owner: tobiah,
      door: 'chosen',
      chosen: [tobiah],
      paragraphs: ['For the science group only.'],
    },
  },
  crates: {
    'photo-bank-north-cove': {
      ...common,
      title: 'Photo bank, north cove',
      owner: maren,
      door: 'open',
      items: [
        { name: 'cove-01', about: 'The cove at low tide' },
        { name: 'cove-02', about: 'Rock pool with three anemones' },
        { name: 'cove-03', about: 'Limpets on the east wall' },
        { name: 'cove-04', about: 'Bladder wrack, close up' },
        { name: 'cove-05', about: 'A hermit crab changes house' },
      ],
    },
  },
  asks: {
    'tide-line-tally': {
      chosen: [],
      title: 'Tide-line tally',
      owner: maren,
      door: 'open',
      about: 'Count what you find in one square of the frame. One sheet for each pair.',
      questions: ['Which square did you count?', 'How many limpets?', 'How many periwinkles?', 'What else did you see?'],
      taking: true,
      answers: 0,
    },
    'rising-dough-log': {
      chosen: [],
      title: 'Rising dough log',
      owner: maren,
      door: 'open',
      about: 'Measure the dough every ten minutes.',
      questions: ['How warm is the water?', 'How high is the dough now?'],
      taking: false,
      answers: 26,
    },
  },
};
