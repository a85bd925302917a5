import type { UsedBy } from '@hapset/contract';
import { ApiError } from '../api/problem-error.js';
import { problemWords, wordsFor } from './problems.js';
import { repairSentence } from './repairs.js';
import { descriptionProblemSentence, fieldProblemSentence, withoutStars } from './services.js';
import { reasonSentence } from './verdicts.js';

describe('sentences', () => {
  it('name the host, not the whole address', () => {
    expect(reasonSentence('led-to-sign-in', 'gatepost.localhost')).toBe(
      'It leads to the sign-in at gatepost.localhost.',
    );
    expect(reasonSentence('guarded-address', 'http://10.0.0.1/x')).toContain('10.0.0.1 is on a private network');
  });
  it('fall back to something that can be done', () => {
    expect(wordsFor(new ApiError('stale'))).toBe(problemWords.stale);
    expect(wordsFor(new Error('boom'))).toBe(problemWords.failed);
    expect(wordsFor(null)).toBe(problemWords.failed);
  });
  it('say what still uses a thing that was to be removed', () => {
    const words = (usedBy: UsedBy): string => wordsFor(new ApiError('in-use', { usedBy }));
    expect(words({ kind: 'lesson', names: ['Tides'], count: 1 })).toBe(
      '“Tides” still shows this. Remove it there first.',
    );
    expect(words({ kind: 'material', names: ['A', 'B', 'C'], count: 5 })).toBe(
      '“A”, “B”, “C” and 2 more materials still show this. Remove it there first.',
    );
    expect(words({ kind: 'code', names: [], count: 1 })).toContain('1 lesson or material uses this.');
    expect(words({ kind: 'code', names: [], count: 3 })).toContain('3 lessons and materials use this.');
    expect(words({ kind: 'school', names: [], count: 1 })).toContain('The school uses this');
  });
  it('name what a description’s problem is about', () => {
    expect(descriptionProblemSentence({ reason: 'part-unknown', detail: 'leaf' })).toBe(
      'Neither the path nor the regular expression has a part named “leaf”.',
    );
    expect(descriptionProblemSentence({ reason: 'wrong-value', detail: '' })).toBe('This value can’t be used.');
    expect(fieldProblemSentence({ message: 'no-host' })).toBe('Name at least one host.');
    expect(fieldProblemSentence({ message: 'must be a string' })).toBe('This value is not right.');
    expect(withoutStars('Open **Who may look** now.')).toBe('Open Who may look now.');
  });
  it('show what a repair touched where that can be seen', () => {
    expect(repairSentence({ kind: 'scheme-doubled', removed: 'https://', added: '' })).toEqual({
      words: 'removed a second',
      what: 'https://',
    });
    expect(repairSentence({ kind: 'invisible-removed', removed: '\u200b', added: '' }).what).toBe('');
  });
});
