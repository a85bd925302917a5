import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ServiceDescription } from '@hapset/core';
import { fieldOf, idFromName, noAddress, noFix, noWall, toDescription, toServiceFields } from './service-fields.js';

const folder = join(__dirname, '../../../../../demo/services');
const descriptions = readdirSync(folder).map(
  (name) => JSON.parse(readFileSync(join(folder, name), 'utf8')) as ServiceDescription,
);

describe('the fields of a description', () => {
  it.each(descriptions)('return $name unchanged', (description) =>
    expect(toDescription(toServiceFields(description))).toEqual(description),
  );

  it('leave out what is empty, and blanks around what is not', () => {
    const fields = {
      ...toServiceFields(null),
      id: ' a ',
      name: ' A ',
      hosts: ' a.example \n\n',
      addresses: [{ ...noAddress, steps: 'x', studentLink: '/y' }],
      walls: [{ ...noWall, words: ' shut \n' }],
      fixes: [{ ...noFix, steps: 'Open it.' }],
    };
    expect(toDescription(fields)).toEqual({
      id: 'a',
      name: 'A',
      hosts: ['a.example'],
      addresses: [{ role: 'student', kind: 'document', path: '/' }],
      walls: [{ verdict: 'sign-in', words: ['shut'] }],
      fixes: [{ verdicts: ['sign-in', 'named-only'], steps: ['Open it.'] }],
    });
  });

  it('give an id', () =>
    expect(['Shell Box 2', 'Übungs-Blätter!', '  '].map(idFromName)).toEqual(['shell-box-2', 'ubungs-blatter', '']));

  it.each([
    ['hosts.3', 'hosts'],
    ['tracking', 'tracking'],
    ['addresses.0.studentLink', 'addresses.0.studentLink'],
    ['addresses.2', 'addresses.2.path'],
    ['walls.1.words.0', 'walls.1.words'],
    ['walls.1', 'walls.1.words'],
    ['fixes.0.verdicts', 'fixes.0.verdicts'],
    ['', ''],
  ])('a problem at "%s" is shown at "%s"', (path, field) => expect(fieldOf(path)).toBe(field));
});
