import { lessonOpening } from './lesson-opening.js';

describe('the hours of a lesson', () => {
  it('begin a little before and end a little after it, across midnight too', () => {
    expect(lessonOpening({ date: '2027-06-10', startsAt: '09:40' })).toEqual({
      from: '2027-06-10T09:30',
      until: '2027-06-10T11:20',
    });
    expect(lessonOpening({ date: '2027-06-10', startsAt: '00:05' })).toEqual({
      from: '2027-06-09T23:55',
      until: '2027-06-10T01:45',
    });
  });
  it('are none without a day or a time', () => {
    expect(lessonOpening({ date: null, startsAt: '09:40' })).toBeNull();
    expect(lessonOpening({ date: '2027-06-10', startsAt: null })).toBeNull();
  });
});
