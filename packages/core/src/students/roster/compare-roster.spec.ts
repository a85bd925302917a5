import fc from 'fast-check';
import { compareRoster, type Known } from './compare-roster.js';
import { editedByHand, type EditedParts } from './edited-parts.js';
import { sortName, splitName } from './name.js';
import { type RosterStudent } from './read-roster.js';

describe('another import', () => {
  const student = (name: string, schoolId: string | null, className = '6', year = ''): RosterStudent => ({
    ...splitName(name),
    schoolId,
    name,
    sortedBy: sortName(splitName(name)),
    className,
    year,
  });
  const known = (id: number, name: string, schoolId: string | null, className = '6', left = false): Known<number> => ({
    ...student(name, schoolId, className),
    id,
    left,
    edited: {},
  });
  const edit = (one: Known<number>, edited: EditedParts): Known<number> => ({ ...one, edited });

  it('says who is new, changed, the same, left out and back', () => {
    const before = [
      known(1, 'Ann Lee', '01'),
      known(2, 'Bo Dam', '02'),
      known(3, 'Cy Ray', '03'),
      known(4, 'Di Moss', '04', '6', true),
      known(5, 'Eve Fox', '05', '6', true),
    ];
    const { added, changed, same, leftOut } = compareRoster(before, [
      student('Ann Lee', '01'),
      student('Bo van Dam', '02', '7'),
      student('Di Moss', '04'),
      student('New One', '09'),
    ]);
    expect(added.map(({ name }) => name)).toEqual(['New One']);
    expect(changed.map(({ id, parts }) => [id, parts])).toEqual([
      [2, ['name', 'className']],
      [4, []],
    ]);
    expect(same).toBe(1);
    expect(leftOut.map(({ id }) => id)).toEqual([3]);
  });

  it('finds those without an id by name and class, then by name, and gives them one', () => {
    const before = [known(1, 'Ann Lee', null), known(2, 'Bo Dam', null, '6'), known(3, 'Bo Dam', null, '7')];
    const { added, changed, leftOut } = compareRoster(before, [
      student('ann lee', '11', '8'),
      student('Bo Dam', null, '7'),
    ]);
    expect(added).toEqual([]);
    expect(changed.map(({ id, parts }) => [id, parts])).toEqual([[1, ['schoolId', 'name', 'className']]]);
    expect(leftOut.map(({ id }) => id)).toEqual([2]);
  });

  it('takes nobody with another id for the same, and guesses nobody among several', () => {
    expect(compareRoster([known(1, 'Ann Lee', '01')], [student('Ann Lee', '02')])).toMatchObject({
      added: [{ schoolId: '02' }],
      changed: [],
      leftOut: [{ id: 1 }],
    });
    const twins = compareRoster(
      [known(1, 'Ann Lee', null, '5'), known(2, 'Ann Lee', null, '6')],
      [student('Ann Lee', null, '7')],
    );
    expect([twins.added.length, twins.leftOut.length]).toEqual([1, 2]);
  });

  it('with what is known already changes nothing, in any order', () => {
    const anyStudent = fc.tuple(
      fc.constantFrom('Ann Lee', 'Bo Dam', 'Cy Ray', '山田太郎'),
      fc.option(fc.constantFrom('1', '2', '3', '4', '5'), { nil: null }),
      fc.constantFrom('6', '7'),
    );
    fc.assert(
      fc.property(
        fc.uniqueArray(anyStudent, { selector: ([name, id, className]) => id ?? `${name} ${className}`, maxLength: 8 }),
        (all) => {
          const before = all.map(([name, id, className], index) => known(index, name, id, className));
          const { added, changed, leftOut, same } = compareRoster(
            before,
            [...all].reverse().map(([name, id, className]) => student(name, id, className)),
          );
          expect([added.length, changed.length, leftOut.length, same]).toEqual([0, 0, 0, all.length]);
        },
      ),
    );
  });

  describe('after something was edited by hand', () => {
    const name = (whole: string) => splitName(whole);

    it('keeps it, and remembers what the roster says', () => {
      const before = [edit(known(1, 'John Lee', '01', '6a'), { name: name('Jon Lee'), className: '6' })];
      const { changed, kept, marked, same } = compareRoster(before, [student('Jonn Lee', '01', '7', 'Year 7')]);
      expect(changed).toMatchObject([
        { parts: ['year'], student: { name: 'John Lee', className: '6a', year: 'Year 7' } },
      ]);
      expect(changed[0]?.edited).toEqual({ name: name('Jonn Lee'), className: '7' });
      expect([kept.length, marked, same]).toEqual([1, [], 0]);
    });

    it('finds them by what the last roster said, and by what was edited', () => {
      const edited = { name: name('Jon Lee') };
      const find = (said: string) => compareRoster([edit(known(1, 'John Lee', null), edited)], [student(said, null)]);
      expect(find('Jon Lee')).toMatchObject({ added: [], leftOut: [], changed: [], marked: [], kept: [{ id: 1 }] });
      expect(find('John Lee')).toMatchObject({
        added: [],
        leftOut: [],
        changed: [],
        kept: [],
        marked: [{ edited: {} }],
      });
      const byId = compareRoster([edit(known(1, 'Jon Lee', '99'), { schoolId: '01' })], [student('J. Lee', '01')]);
      expect(byId.changed).toMatchObject([{ parts: ['name'], student: { schoolId: '99', name: 'J. Lee' } }]);
    });

    it('takes no id away where the roster has none', () => {
      const { changed } = compareRoster([known(1, 'Jon Lee', '01')], [student('Jon Lee', null, '7')]);
      expect(changed).toMatchObject([{ parts: ['className'], student: { schoolId: '01' } }]);
    });
  });

  describe('editing by hand', () => {
    const before = student('Jon Lee', '01');

    it('remembers what the roster said, once', () => {
      const once = editedByHand(before, student('John Lee', '01'), {});
      expect(once).toEqual({ name: splitName('Jon Lee') });
      expect(editedByHand(student('John Lee', '01'), student('Johnny Lee', '01', '7'), once)).toEqual({
        name: splitName('Jon Lee'),
        className: '6',
      });
    });

    it('is over where it says what the roster says', () =>
      expect(editedByHand(student('John Lee', '01'), before, { name: splitName('Jon Lee') })).toEqual({}));

    it('is nothing where nothing changes', () => expect(editedByHand(before, before, {})).toEqual({}));
  });
});
