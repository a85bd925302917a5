import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sampleCatalogue } from '../../../test/sample-services.js';
import { readIntake } from '../read-intake.js';
import { listedHosts } from '../../service-description/listed-hosts.js';
import { hasRightTitles, scorePaste, type Paste } from './score.js';

const isListed = listedHosts(sampleCatalogue);

describe.each(['first-half', 'second-half'])('pastes, %s', (half) => {
  const pastes = JSON.parse(readFileSync(join(__dirname, `${half}.json`), 'utf8')) as readonly Paste[];
  const scored = pastes.map((paste) => ({ paste, items: readIntake(paste.pasted, isListed) }));
  const pasted = (wanted: string): readonly string[] =>
    scored.filter(({ paste, items }) => scorePaste(paste, items) === wanted).map(({ paste }) => paste.pasted);

  it('none becomes something else without a question', () => expect(pasted('wrong')).toEqual([]));

  it('few are asked about, and all that nobody can know', () => {
    expect(pasted('asked').length).toBeLessThanOrEqual(pastes.length * 0.15);
    expect(pasted('asked')).toEqual(
      expect.arrayContaining(pastes.filter(({ ask }) => ask).map((paste) => paste.pasted)),
    );
  });

  it('nearly all have the title that was meant', () =>
    expect(scored.filter(({ paste, items }) => !hasRightTitles(paste, items)).length).toBeLessThanOrEqual(4));
});

describe('the score of a paste', () => {
  const link = readIntake('https://a.example/1');
  const asked = readIntake('See https://a.example/1 now, please.');

  it('is wrong for another answer, for a question without the right one, and for no question where one is due', () => {
    expect(scorePaste({ from: '', pasted: '', wants: ['link https://a.example/1 | Any'] }, link)).toBe('right');
    expect(scorePaste({ from: '', pasted: '', wants: ['link https://a.example/2'] }, link)).toBe('wrong');
    expect(scorePaste({ from: '', pasted: '', wants: ['link https://a.example/1'], ask: true }, link)).toBe('wrong');
    expect(scorePaste({ from: '', pasted: '', wants: ['link https://a.example/1'] }, asked)).toBe('asked');
    expect(scorePaste({ from: '', pasted: '', wants: ['refused'] }, asked)).toBe('wrong');
  });
});
