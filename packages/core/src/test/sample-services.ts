/** Made-up services for the core's tests, with a piece of everything that a description can say. */
import { compileServices, type ServiceCatalogue } from '../gather/service-description/catalogue.js';
import type { ServiceDescription } from '../gather/service-description/description.js';
import { compileRe2 } from '../gather/service-description/re2-pattern.js';

export const cofferlane: ServiceDescription = {
  id: 'cofferlane',
  name: 'Cofferlane',
  hosts: ['cofferlane.localhost', 'cofferlane.example'],
  addresses: [
    { role: 'editor', kind: 'document', path: '/leaf/{leaf}/write', studentLink: '/leaf/{leaf}' },
    { role: 'student', kind: 'document', path: '/leaf/{leaf}' },
    { role: 'student', kind: 'folder', path: '/crate/**' },
  ],
  walls: [
    { verdict: 'sign-in', host: 'gatepost.localhost' },
    { verdict: 'named-only', words: ['Ask for a key'] },
    { verdict: 'missing', pattern: '^this leaf (?:blew|was blown) away' },
  ],
  fixes: [
    {
      verdicts: ['sign-in', 'named-only'],
      steps: ['In Cofferlane open **Who may look** and choose **No sign-in needed**.', 'Leave **May change it** off.'],
      ownerPage: '{link}/who',
    },
  ],
  tracking: ['lane'],
};

export const askleaf: ServiceDescription = {
  id: 'askleaf',
  name: 'Askleaf',
  hosts: ['*.askleaf.example', 'askleaf.localhost'],
  addresses: [
    {
      role: 'answers',
      kind: 'form',
      pattern: '^/ask/(?P<form>[^/?]+)/heard(?:[/?]|$)',
      studentLink: '/ask/{form}?from=heard',
    },
    { role: 'answers', kind: 'form', path: '/sheet/*', steps: ['Press **Hand it out**.'] },
    { role: 'student', kind: 'form', path: '/ask/{form}' },
  ],
  walls: [{ verdict: 'closed', words: ['takes no more answers'] }],
  fixes: [],
  shorteners: ['go.askleaf.example'],
};

export const sampleCatalogue: ServiceCatalogue = compileServices([cofferlane, askleaf], compileRe2);
