import { fillPath, limits, routes, type RouteName } from '@hapset/contract';
import { rosterLimits } from '@hapset/core';
import { newId } from '../database/columns.js';
import { budgetOf, type BodyBudget } from './body-budgets.js';
import { shapeExcess } from './json-shape.js';
import { cardsRequest } from '../../test/cards-request.js';

/** What the route's budget says of a body. */
function verdict(name: RouteName, body: object): 'fits' | 'too large' | string {
  const { method, path } = routes[name];
  const params = Object.fromEntries([...path.matchAll(/:([a-zA-Z]+)/g)].map(([, param = '']) => [param, newId()]));
  const budget: BodyBudget = budgetOf(method, fillPath(path, params));
  const bytes = new TextEncoder().encode(JSON.stringify(body));
  if (bytes.length > budget.bytes) return 'too large';
  return shapeExcess(bytes, budget) ?? 'fits';
}

const student = {
  schoolId: '00'.repeat(10),
  prefix: 'van der',
  given: 'Nguyễn Thị Minh Khai',
  middle: 'Ánh Tuyết',
  family: 'Παπαδοπούλου-Αντωνίου',
  className: '6 Kestrel',
  year: 'Year 6',
};

describe('the budget of a body', () => {
  it('holds the largest roster that is taken', () => {
    const students = Array.from({ length: rosterLimits.students }, () => student);
    expect(verdict('compareRoster', { students })).toBe('fits');
    expect(verdict('compareRoster', { students: [...students, student] })).toBe('too-many-items');
  });

  it('holds cards for a whole school, named one by one', () => {
    const studentIds = Array.from({ length: rosterLimits.students }, newId);
    const request = { ...cardsRequest, studentIds };
    expect(verdict('previewCards', { request, page: 0 })).toBe('fits');
    expect(verdict('makeCards', { request })).toBe('fits');
  });

  it('holds as many materials at once as may be added, each with long words', () => {
    const item = {
      link: `https://a.example/${'x'.repeat(300)}`,
      pasted: 'x'.repeat(400),
      repairs: [{ kind: 'scheme-doubled', removed: 'https://', added: '' }],
      title: 'T'.repeat(limits.titleLength),
      instruction: 'I'.repeat(limits.instructionLength),
      tags: ['one', 'two'],
    };
    const items = Array.from({ length: limits.itemsAtOnce }, () => item);
    expect(verdict('createMaterials', { items })).toBe('fits');
    expect(verdict('addStations', { items, materialIds: [] })).toBe('fits');
    expect(verdict('createMaterials', { items: [...items, item] })).toBe('too-many-items');
  });

  it('holds the rehearsals of all devices of a class', () => {
    const tried = Array.from({ length: 30 }, (_, index) => ({ distanceM: index / 10, passRate: 0.95, trials: 20 }));
    const others = ['zbar', 'qr'].map((engine) => ({
      engine,
      read: true,
      text: 'https://a.example/leaf/tides',
      difference: null,
    }));
    const results = Array.from({ length: limits.device.devices }, () => ({
      deviceId: newId(),
      reachM: 2.4,
      fromM: 0.15,
      confidence: 'sure',
      tried,
      others,
      text: 'https://a.example/leaf/tides',
      difference: null,
    }));
    expect(verdict('saveMaterialRehearsal', { results })).toBe('fits');
    expect(verdict('saveStationRehearsal', { results })).toBe('fits');
  });

  it('holds a long written page, and no endless one', () => {
    const paragraph = (text: string): object => ({
      type: 'paragraph',
      content: [{ type: 'text', text, marks: [{ type: 'bold' }] }],
    });
    const page = (paragraphs: number): object => ({
      version: 1,
      over: false,
      document: {
        type: 'doc',
        content: Array.from({ length: paragraphs }, (_, index) =>
          paragraph(`Paragraph ${index} about limpets and the tide.`),
        ),
      },
    });
    expect(verdict('saveWrittenPage', page(2000))).toBe('fits');
    expect(verdict('saveWrittenPage', page(200_000))).toBe('too large');
  });

  it('is small for a stranger, and for the many forms of a few fields', () => {
    expect(verdict('signIn', { email: 'x'.repeat(190), password: 'y'.repeat(200), keep: true })).toBe('fits');
    expect(verdict('signIn', { email: 'x', password: 'y'.repeat(5000) })).toBe('too large');
    expect(verdict('changeLesson', { name: 'x'.repeat(70_000) })).toBe('too large');
    expect(
      verdict('changeLesson', Object.fromEntries(Array.from({ length: 101 }, (_, index) => [`k${index}`, 1]))),
    ).toBe('too-many-members');
  });
});
