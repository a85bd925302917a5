import { type SheetChoices, type SheetsPreview, type SheetTemplateView } from '@hapset/contract';
import { plainChoices } from '@hapset/core';
import { Scene, words } from '../../test/scene.js';
import { smallPng } from '../../test/small-png.js';
import { uploaded } from '../../test/upload.js';

describe('templates of sheets', () => {
  let scene: Scene;
  let lessonId: string;
  beforeAll(async () => {
    scene = await Scene.start();
    lessonId = await scene.lesson();
    await scene.stations(lessonId, [words('What lives here?')]);
  });
  afterAll(() => scene.stop());

  const preview = (choices: Partial<SheetChoices> & Pick<SheetChoices, 'kind'>) =>
    scene.server.ok<SheetsPreview>('Maren', 'POST', '/api/sheet-previews', {
      places: { lessonId, stationIds: [], materialIds: [], tag: null },
      choices: { ...plainChoices(choices.kind, 'A4'), ...choices },
      page: 0,
    });
  const create = (body: object, who = 'Maren') =>
    scene.server.as(who, 'POST', '/api/sheet-templates', {
      name: 'Sea green',
      kind: 'poster',
      accent: '#0a6b5e',
      header: null,
      layout: null,
      footer: '',
      labels: null,
      ...body,
    });

  it('colour titles and put a picture on top; the usual one is taken where nobody chooses', async () => {
    const picture = await scene.server.ok<{ id: string; aspect: number }>('Maren', 'POST', '/api/look-pictures', {
      uploadId: await uploaded(scene, await smallPng()),
    });
    const template = (await create({ header: { pictureId: picture.id, aspect: picture.aspect, heightMm: 15 } }))
      .body as SheetTemplateView;
    expect(template).toMatchObject({ usual: false, mine: true });
    const withIt = await preview({ kind: 'poster', templateId: template.id });
    expect(withIt.svg).toContain('#0a6b5e');
    expect(withIt.svg).toContain('<image');
    expect((await preview({ kind: 'poster' })).svg).not.toContain('#0a6b5e');
    await scene.server.ok('Pell', 'PATCH', `/api/sheet-templates/${template.id}`, { usual: true });
    expect((await preview({ kind: 'poster' })).svg).toContain('#0a6b5e');
    expect((await preview({ kind: 'handout' })).svg).not.toContain('#0a6b5e');
    const other = (await create({ name: 'Deep red', accent: '#8a1c2c' })).body as SheetTemplateView;
    await scene.server.ok('Pell', 'PATCH', `/api/sheet-templates/${other.id}`, { usual: true });
    expect(
      (await scene.server.ok<SheetTemplateView[]>('Maren', 'GET', '/api/sheet-templates'))
        .filter(({ usual }) => usual)
        .map(({ name }) => name),
    ).toEqual(['Deep red']);
    await scene.server.ok('Maren', 'DELETE', `/api/sheet-templates/${other.id}`);
    expect((await preview({ kind: 'poster' })).svg).not.toContain('#8a1c2c');
  });

  it('name a design and a line at the foot, which a choice goes before', async () => {
    const template = (await create({ layout: 'little-ink', footer: 'Harbour wing' })).body as SheetTemplateView;
    expect(template).toMatchObject({ layout: 'little-ink', footer: 'Harbour wing' });
    const svgOf = async (choices: Partial<SheetChoices>) => (await preview({ kind: 'poster', ...choices })).svg;
    const [own, plain, little] = await Promise.all([
      svgOf({ templateId: template.id }),
      svgOf({}),
      svgOf({ layout: 'little-ink' }),
    ]);
    // An outlined number has a line and no fill.
    for (const outlined of [own, little]) expect(outlined).toContain('fill="none" stroke="#0');
    expect(plain).not.toContain('fill="none" stroke="#000000"');
    expect(await svgOf({ templateId: template.id, layout: 'big-number' })).not.toContain(
      'fill="none" stroke="#0a6b5e"',
    );
    expect((await create({ layout: 'code-first' })).body).toMatchObject({
      reason: 'invalid',
      fields: [{ field: 'layout' }],
    });
  });

  it('are refused where titles could not be read, or the picture is not there', async () => {
    expect((await create({ accent: '#ffee88' })).body).toMatchObject({
      reason: 'invalid',
      fields: [{ field: 'accent' }],
    });
    expect((await create({ header: { pictureId: lessonId, aspect: 2, heightMm: 15 } })).body).toMatchObject({
      reason: 'invalid',
      fields: [{ field: 'header' }],
    });
  });

  it('are changed by who made them or the administrator, under the version they were read with', async () => {
    const template = (await create({ name: 'Mine' })).body as SheetTemplateView;
    const change = (who: string, version = 1) =>
      scene.server.as(who, 'PUT', `/api/sheet-templates/${template.id}`, {
        name: 'Ours',
        accent: '#222222',
        header: null,
        layout: null,
        footer: '',
        labels: null,
        version,
      });
    expect((await change('Tobiah')).body).toMatchObject({ reason: 'not-allowed' });
    expect((await change('Maren')).body).toMatchObject({ name: 'Ours', version: 2 });
    expect((await change('Pell')).body).toMatchObject({ reason: 'stale' });
    expect((await scene.server.as('Tobiah', 'DELETE', `/api/sheet-templates/${template.id}`)).body).toMatchObject({
      reason: 'not-allowed',
    });
  });
});
