import { rosterLimits } from '@hapset/core';
import type { ProblemError } from '../../platform/problem/problem.js';
import { CompareRosterPipe } from './roster-body.pipe.js';

const ann = { schoolId: '00123', prefix: '', given: 'Ann', middle: '', family: 'Lee', className: '6', year: '' };

/** The members that were named, or none where the body is taken. */
function wrong(pipe: CompareRosterPipe, body: unknown): readonly string[] {
  try {
    pipe.transform(body);
    return [];
  } catch (error) {
    return ((error as ProblemError).more.fields ?? []).map(({ field }) => field);
  }
}

describe('a roster that is sent', () => {
  const compare = new CompareRosterPipe();

  it('is taken as it is', () => {
    const body = { students: [ann, { ...ann, schoolId: null }] };
    expect(compare.transform(body)).toBe(body);
  });

  it.each([
    ['no students', { students: [] }],
    ['too many students', { students: Array.from({ length: rosterLimits.students + 1 }, () => ann) }],
    ['students that are a text', { students: 'Ann' }],
    ['a student that is nothing', { students: [null] }],
    ['a student that is a list', { students: [[]] }],
    ['a student with a member more', { students: [{ ...ann, role: 'administrator' }] }],
    ['a student with a member less', { students: [{ ...ann, year: undefined }] }],
    ['an empty id', { students: [{ ...ann, schoolId: '' }] }],
    ['a number as an id', { students: [{ ...ann, schoolId: 123 }] }],
    ['a name that is too long', { students: [{ ...ann, given: 'x'.repeat(rosterLimits.nameLength + 1) }] }],
    ['a class that is too long', { students: [{ ...ann, className: 'x'.repeat(rosterLimits.classLength + 1) }] }],
  ])('is refused with %s', (_, body) => {
    expect(wrong(compare, body)).toEqual(['students']);
  });

  it('is refused with what it does not know, named and counted out', () => {
    expect(wrong(compare, { students: [ann], leave: true })).toEqual(['leave']);
    expect(wrong(compare, undefined)).toEqual(['students']);
    const many = Object.fromEntries(Array.from({ length: 90 }, (_, index) => [`k${index}`, 1]));
    expect(wrong(compare, { students: [ann], ...many })).toHaveLength(20);
  });
});
