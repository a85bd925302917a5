import type { SchoolService } from '../../school/settings/school.service.js';
import { isVisible, StudentVisibility } from './student-visibility.js';

describe('which classes somebody sees', () => {
  const among = (teacherClasses: Readonly<Record<string, readonly string[]>> | null): StudentVisibility =>
    new StudentVisibility({ get: () => Promise.resolve({ teacherClasses }) } as unknown as SchoolService);
  const maren = { id: 'maren', role: 'teacher' } as const;

  it('all, as long as the school limits nobody', async () => {
    expect(await among(null).find(maren)).toBeNull();
  });

  it('those that were given, and none where none were', async () => {
    const limited = among({ maren: ['6 Avocet'] });
    expect(await limited.find(maren)).toEqual(['6 Avocet']);
    expect(await limited.find({ id: 'tobiah', role: 'teacher' })).toEqual([]);
  });

  it('all for the office and administrators, whatever teachers see', async () => {
    for (const role of ['office', 'administrator'] as const) expect(await among({}).find({ id: 'x', role })).toBeNull();
  });

  it('is asked class by class', () => {
    expect(isVisible('6 Avocet', null)).toBe(true);
    expect(isVisible('6 Avocet', ['6 Avocet'])).toBe(true);
    expect(isVisible('6 avocet', ['6 Avocet'])).toBe(false);
    expect(isVisible('', [])).toBe(false);
  });
});
