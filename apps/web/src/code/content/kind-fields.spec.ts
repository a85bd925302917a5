import { contentKinds, contentProblems, type Content } from '@hapset/core';
import { kindForms, toContent, toFormValues } from './kind-fields.js';

describe('forms of kinds', () => {
  it.each(contentKinds)('%s asks for each of its fields once', (kind) => {
    const { empty, fields } = kindForms[kind];
    expect(fields.map((field) => field.name).sort()).toEqual(
      Object.keys(empty)
        .filter((name) => name !== 'kind')
        .sort(),
    );
  });

  it.each(contentKinds)('%s begins with something missing', (kind) => {
    expect(contentProblems(toContent(kind, toFormValues(kindForms[kind].empty)))).not.toEqual([]);
  });

  it('takes numbers with a comma, trims, and comes back', () => {
    const place: Content = { kind: 'place', name: 'North cove', latitude: 53.34, longitude: -6.26 };
    expect(toContent('place', { name: ' North cove ', latitude: '53,34', longitude: ' -6.26 ' })).toEqual(place);
    expect(toContent('place', toFormValues(place))).toEqual(place);
  });

  it('keeps ticks and line ends', () => {
    expect(toContent('network', { name: 'x', security: 'open', password: '', hidden: true })).toEqual({
      kind: 'network',
      name: 'x',
      security: 'open',
      password: '',
      hidden: true,
    });
    expect(toContent('e-mail', { address: 'a@b.example', subject: '', text: 'one\n  two\n' })).toMatchObject({
      text: 'one\n  two\n',
    });
  });
});
