/** The descriptions that ship: those of the stand-in services of the demo. */
import type { ServiceDescription } from './description.js';

export const shippedServices: readonly ServiceDescription[] = [
  {
    id: 'cofferlane',
    name: 'Cofferlane',
    hosts: ['cofferlane.localhost', 'cofferlane.example'],
    addresses: [
      { path: '/leaf/**', kind: 'document' },
      { path: '/crate/**', kind: 'folder' },
    ],
    walls: [
      { verdict: 'sign-in', host: 'gatepost.localhost' },
      { verdict: 'named-only', words: ['ask for a key'] },
    ],
    mending: [
      {
        verdicts: ['sign-in', 'named-only'],
        steps: [
          'In Cofferlane open **Who may look** and choose **No sign-in needed**.',
          'Leave **May change it** off, so that students can only look.',
        ],
        ownerPage: '{link}/who',
      },
    ],
  },
  {
    id: 'askleaf',
    name: 'Askleaf',
    hosts: ['askleaf.localhost', 'askleaf.example'],
    addresses: [{ path: '/ask/**', kind: 'form' }],
    walls: [
      { verdict: 'sign-in', host: 'gatepost.localhost' },
      { verdict: 'closed', words: ['takes no more answers'] },
    ],
    mending: [
      { verdicts: ['sign-in', 'named-only'], steps: ['In Askleaf open **Who may answer** and choose **No sign-in needed**.'], ownerPage: '{link}/who' },
      { verdicts: ['closed'], steps: ['In Askleaf open the form and press **Take answers again**.'], ownerPage: '{link}/who' },
    ],
  },
];
