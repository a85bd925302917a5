import fc from 'fast-check';
import { guessColumns, looksLikeList, readColumns } from './columns.js';
import { readTags } from './tags.js';

const list = [
  ['https://a.example/1', 'Tide tables', 'Find the next low tide'],
  ['https://a.example/2', 'Shells', 'Sort ten shells'],
];

describe('columns of a list', () => {
  it('are known by their headings, in any order and several languages', () => {
    expect(
      guessColumns([
        ['Titre', 'Consigne', 'Lien'],
        ['x', 'y', 'https://a.example'],
      ]),
    ).toEqual({ header: true, roles: ['title', 'instruction', 'what'] });
    expect(
      guessColumns([
        ['Name', 'Nachricht', 'Name'],
        ['x', 'hello', 'z'],
      ]),
    ).toEqual({ header: true, roles: ['title', 'what', 'none'] });
    expect(
      guessColumns([
        ['Título', 'Enlace'],
        ['x', 'y'],
      ]).roles,
    ).toEqual(['title', 'what']);
  });

  it.each([
    ['Web address', 'what'],
    ['Adresse', 'what'],
    ['URL', 'what'],
    ['Words', 'what'],
    ['Text', 'what'],
    ['Texte', 'what'],
    ['Texto', 'what'],
    ['Station', 'title'],
    ['Titel', 'title'],
    ['Nom', 'title'],
    ['Nombre', 'title'],
    ['What to do', 'instruction'],
    ['Aufgabe', 'instruction'],
    ['Anweisung', 'instruction'],
    ['Tarea', 'instruction'],
    ['Instrucción', 'instruction'],
    ['Collection', 'tags'],
    ['Stichworte', 'tags'],
    ['Étiquettes', 'tags'],
    ['Etiquetas', 'tags'],
  ])('%s is a head of what is %s', (head, role) => {
    const { roles, header } = guessColumns([
      [head, ''],
      ['x', 'y'],
    ]);
    expect(header).toBe(true);
    expect(roles[0]).toBe(role);
    expect(roles[1]).toBe(role === 'what' ? 'none' : 'what');
  });

  it('are guessed by their cells where there are no headings', () => {
    expect(guessColumns(list)).toEqual({ header: false, roles: ['what', 'title', 'instruction'] });
    expect(guessColumns([['Shells', 'https://a.example/2', '']])).toEqual({
      header: false,
      roles: ['title', 'what', 'none'],
    });
  });

  it('give things with title, instruction and tags, repaired like any other', () => {
    const rows = [
      ['link', 'title', 'task', 'tags'],
      ['“https://https://a.example/1”', ' Tide ', 'Look', 'shells, low tide; shells'],
      ['', 'no link', '', ''],
      ['Who am I?', '', '', ''],
    ];
    expect(readColumns(rows, guessColumns(rows))).toMatchObject([
      { kind: 'link', link: 'https://a.example/1', title: 'Tide', instruction: 'Look', tags: ['shells', 'low tide'] },
      { kind: 'words', words: 'Who am I?', title: null, instruction: null, tags: [] },
    ]);
  });

  it('tell a list from sentences with commas', () => {
    expect(looksLikeList(list)).toBe(true);
    expect(
      looksLikeList([
        ['Meet at nine', ' bring boots'],
        ['Rain', ' or shine'],
      ]),
    ).toBe(false);
    expect(looksLikeList([['https://a.example/1']])).toBe(false);
    expect(
      looksLikeList([
        ['https://a.example/1'],
        ['https://a.example/2'],
        ['https://a.example/3'],
        ['https://a.example/4'],
        ['https://a.example/5', ''],
      ]),
    ).toBe(false);
    expect(looksLikeList([])).toBe(false);
  });

  it('always have exactly one that says what to open, and never fail', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.string(), { minLength: 1, maxLength: 5 }), { minLength: 1, maxLength: 6 }),
        (rows) => {
          const columns = guessColumns(rows);
          expect(columns.roles.filter((role) => role === 'what')).toHaveLength(1);
          expect(readColumns(rows, columns).length).toBeLessThanOrEqual(rows.length);
        },
      ),
    );
  });
});

describe('tags', () => {
  it('are parted by commas, each once', () =>
    expect(readTags(' Recorder,  low   notes ;Recorder,, ')).toEqual(['Recorder', 'low notes']));
});
