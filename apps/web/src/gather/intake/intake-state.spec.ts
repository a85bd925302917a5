import { emptyIntake, intakeReducer, type IntakeAction, type IntakeState } from './intake-state.js';

const after = (...actions: readonly IntakeAction[]): IntakeState => actions.reduce(intakeReducer, emptyIntake());
const list = { name: 'stations.csv', rows: [['a', 'b']], cut: false };
const typed = { kind: 'text', text: 'https://a.example' } as const;
const decided: readonly IntakeAction[] = [
  { kind: 'answered', pasted: 'x', answer: 1 },
  { kind: 'left-out-toggled', pasted: 'x' },
  { kind: 'kind-chosen', pasted: 'x', linkKind: 'video' },
  { kind: 'student-link-chosen', pasted: 'x', link: 'https://a.example/student' },
  { kind: 'page-toggled', pasted: 'x' },
  { kind: 'duplicate-toggled', index: 3 },
];

describe('the intake', () => {
  it('begins with what another page gave', () => {
    expect(emptyIntake('from the address').text).toBe('from the address');
    expect(emptyIntake()).toMatchObject({ text: '', list: null, files: null, failure: null, sending: false });
  });

  it('holds text or a list, never both', () => {
    expect(after(typed, { kind: 'list', list })).toMatchObject({ text: '', list });
    expect(after({ kind: 'list', list }, typed)).toMatchObject({ text: typed.text, list: null });
  });

  it('forgets the columns of a list that is gone', () => {
    const columns = { roles: ['what'], heads: false } as never;
    expect(after({ kind: 'list', list }, { kind: 'columns', columns }).columns).toBe(columns);
    expect(after({ kind: 'list', list }, { kind: 'columns', columns }, typed).columns).toBeNull();
  });

  it('keeps what was decided while one types on, and not once the field is empty', () => {
    const { decisions } = after(typed, ...decided, { kind: 'text', text: 'https://a.example and more' });
    expect(decisions.answers.get('x')).toBe(1);
    expect([...decisions.leftOut]).toEqual(['x']);
    expect(decisions.kinds.get('x')).toBe('video');
    expect(decisions.studentLinks.get('x')).toBe('https://a.example/student');
    expect([...decisions.onPage]).toEqual(['x']);
    expect([...decisions.kept]).toEqual([3]);
    const cleared = after(typed, ...decided, { kind: 'text', text: '' }).decisions;
    expect(cleared).toEqual(emptyIntake().decisions);
  });

  it('takes each decision back by the same action', () => {
    const toggles = decided.filter(({ kind }) => /toggled$/.test(kind));
    const { decisions } = after(
      typed,
      ...decided,
      ...toggles,
      { kind: 'student-link-chosen', pasted: 'x', link: null },
      { kind: 'answered', pasted: 'x', answer: null },
    );
    const { onPage, kept, leftOut, studentLinks, answers } = decisions;
    expect([onPage, kept, leftOut, studentLinks, answers].map(({ size }) => size)).toEqual([0, 0, 0, 0, 0]);
  });

  it('keeps what was changed in the place of what was read', () => {
    const change = { kind: 'words', text: 'Who am I?', title: '' } as const;
    expect(after(typed, { kind: 'changed', pasted: 'x', change }).decisions.changes.get('x')).toBe(change);
  });

  it('changes no state that was handed out', () => {
    const before = after(typed, ...decided);
    const seen = JSON.stringify([...before.decisions.onPage]);
    intakeReducer(before, { kind: 'page-toggled', pasted: 'y' });
    expect(JSON.stringify([...before.decisions.onPage])).toBe(seen);
  });

  it('is empty once everything was added, and keeps everything when adding failed', () => {
    const filled = after(typed, { kind: 'tags', tags: 'shells' }, { kind: 'sending' });
    expect(filled.sending).toBe(true);
    expect(intakeReducer(filled, { kind: 'added' })).toEqual(emptyIntake());
    expect(intakeReducer(filled, { kind: 'failed', words: 'The server can’t be reached.' })).toMatchObject({
      text: typed.text,
      tags: 'shells',
      sending: false,
      failure: 'The server can’t be reached.',
    });
  });

  it('says no more that something failed once one types', () => {
    expect(after(typed, { kind: 'failed', words: 'x' }, { kind: 'text', text: 'y' }).failure).toBeNull();
  });
});
