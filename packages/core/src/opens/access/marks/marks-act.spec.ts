import { evidence, verdictOf, type Shape } from '../../../test/sample-evidence.js';
import { sampleCatalogue } from '../../../test/sample-services.js';
import { judgeAccess } from '../verdict.js';
import { rightsOf } from '../rights.js';
import type { FormFacts } from '../evidence.js';

const form = (fields: readonly string[], buttons: readonly string[] = ['OK']): FormFacts => ({
  action: '',
  method: 'post',
  fields,
  buttons,
});

/** As such pages say it, in each of the languages that have lists. */
describe('the words of a language act', () => {
  it.each([
    ['en', 'Before you continue', 'Accept'],
    ['de', 'Bevor Sie fortfahren', 'Akzeptieren'],
    ['fr', 'Avant de continuer', 'Tout accepter'],
    ['es', 'Antes de continuar', 'Aceptar'],
    ['ja', '続行する前に', '同意する'],
  ])('as a question about data: %s', (_, title, button) => {
    const shape: Shape = { page: { title, visibleCharacters: 90, buttons: [button] } };
    expect(judgeAccess(evidence(shape), sampleCatalogue)).toMatchObject({
      verdict: 'obstructed',
      reasons: [{ reason: 'asks-consent' }],
    });
    // Without a button to agree with it is a text about data.
    expect(verdictOf({ page: { title, visibleCharacters: 90, buttons: ['Next'] } })).toBe('unknown');
  });

  it.each([
    ['en', 'How old are you?'],
    ['de', 'Altersprüfung'],
    ['fr', 'Quel âge avez-vous ?'],
    ['es', '¿Qué edad tienes?'],
    ['ja', '年齢確認'],
  ])('as a question about age: %s', (_, title) => {
    const asked = (fields: readonly string[]): string =>
      verdictOf({ page: { title, visibleCharacters: 40, forms: [form(fields, [])] } });
    expect(asked(['number'])).toBe('obstructed');
    // Nothing to answer with, or one question among others.
    expect(asked([])).toBe('unknown');
    expect(asked(['text', 'number', 'text', 'text'])).toBe('unknown');
    expect(asked(['text', 'number', 'text'])).toBe('obstructed');
  });

  it.each([
    ['en', 'One answer each.'],
    ['de', 'Du kannst nur einmal antworten.'],
    ['fr', 'Une seule réponse par personne.'],
    ['es', 'Solo una respuesta por persona.'],
    ['ja', '回答は1回だけです。'],
  ])('as a limit of one answer: %s', (_, line) => {
    const answer = (firstLines: readonly string[]): string | undefined =>
      rightsOf(evidence({ page: { firstLines, forms: [form(['radio', 'radio'])] } }), sampleCatalogue)?.answer;
    expect(answer([line])).toBe('once');
    expect(answer(['?'])).toBe('again');
  });

  it('as an end, unless there is a form to fill in', () => {
    const over = { title: 'This form takes no more answers', firstLines: ['It no longer accepts responses.'] };
    expect(verdictOf({ page: { ...over, visibleCharacters: 60 } })).toBe('closed');
    expect(verdictOf({ page: { ...over, visibleCharacters: 60, forms: [form(['radio', 'radio'])] } })).toBe('open');
    // A field for a search ends nothing.
    expect(verdictOf({ page: { ...over, visibleCharacters: 60, forms: [form(['search'])] } })).toBe('closed');
  });
});
