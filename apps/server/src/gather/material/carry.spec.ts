import type { CreatedMaterials, MaterialPage, MaterialView, Problem, SheetView } from '@hapset/contract';
import { documentFromText } from '@hapset/core';
import { Device } from '../../school/device/device.entity.js';
import { link, Scene, words } from '../../test/scene.js';
import { openPage, SmallWeb } from '../../test/small-web.js';

describe('what a code carries by choice', () => {
  let web: SmallWeb;
  let scene: Scene;
  beforeAll(async () => {
    web = await SmallWeb.start();
    web.html('/counted', openPage);
    scene = await Scene.start({ trustedHosts: [web.host] });
  });
  afterAll(async () => {
    await scene.stop();
    await web.stop();
  });

  const create = async (item: object): Promise<string> =>
    (await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', { items: [item] })).materialIds[0] ??
    '';
  const page = (id: string): Promise<MaterialPage> =>
    scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${id}`);
  const change = (id: string, request: object): Promise<MaterialView> =>
    scene.server.ok<MaterialView>('Maren', 'PATCH', `/api/materials/${id}`, request);
  const refused = async (id: string, request: object): Promise<Problem> =>
    (await scene.server.as('Maren', 'PATCH', `/api/materials/${id}`, request)).body as Problem;

  it('is the shorter link once it was proven, keeps to it, and goes back', async () => {
    const lessonId = await scene.lesson();
    const whole = web.address('/counted?id=7&utm_source=mail');
    const [stationId = ''] = await scene.stations(lessonId, [link(whole)]);
    await scene.opened(lessonId);
    const { id } = (await scene.page(stationId)).material;
    expect(await change(id, { version: 1, carry: 'trimmed' })).toMatchObject({ carry: 'trimmed', link: whole });
    const shorter = await page(id);
    expect(shorter.code).toMatchObject({ carry: 'trimmed', payload: web.address('/counted?id=7') });
    expect(shorter.ladder.rungs.map(({ kind }) => kind)).toEqual(['link', 'trimmed', 'short-link']);
    expect(shorter.readiness).toMatchObject({ opens: { verdict: 'open' }, carries: { carry: 'trimmed', act: 'link' } });
    await change(id, { version: 2, carry: 'link' });
    expect((await page(id)).code?.payload).toBe(whole);
    // Another link is carried as it is.
    await change(id, { version: 3, carry: 'trimmed' });
    expect(await change(id, { version: 4, link: web.address('/counted?id=8') })).toMatchObject({ carry: 'link' });
  });

  it('is recommended before and after the choice alike, at the size at which each would be printed', async () => {
    const lessonId = await scene.lesson('Maren', { viewingDistanceM: 3 });
    const long = `https://a.example/leaf/${'limpets-and-barnacles/'.repeat(7)}`;
    const [stationId = ''] = await scene.stations(lessonId, [link(long)]);
    const before = await scene.page(stationId);
    const figures = ({ ladder, rehearsal }: MaterialPage): unknown => ({
      recommended: ladder.recommended,
      reason: ladder.reason,
      rungs: ladder.rungs.map((rung) => [rung.kind, rung.figures?.sizeMm, rung.figures?.reachM]),
      distanceM: rehearsal.distanceM,
    });
    let version = 1;
    for (const [index, rung] of before.ladder.rungs.entries()) {
      await change(before.material.id, { version, carry: rung.kind });
      version += 1;
      const after = await scene.page(stationId);
      expect(figures(after)).toEqual(figures(before));
      expect(after.rehearsal.sizeMm).toBe(after.ladder.rungs[index]?.figures?.sizeMm);
    }
  });

  it('is a bare address where it leads to the same page, and never an unproven shorter link', async () => {
    const id = await create(link('https://a.example/leaf'));
    expect(await refused(id, { version: 1, carry: 'trimmed' })).toMatchObject({
      reason: 'invalid',
      fields: [{ field: 'carry' }],
    });
    await change(id, { version: 1, carry: 'bare' });
    expect((await page(id)).code).toMatchObject({ carry: 'bare', payload: 'a.example/leaf' });
    expect((await page(id)).readiness.carries).toMatchObject({
      state: 'look-at',
      act: 'bare-address',
      ignoredBy: ['Tablets', 'Laptops'],
    });
    const plain = await create(link('http://a.example/leaf'));
    expect(await refused(plain, { version: 1, carry: 'bare' })).toMatchObject({ reason: 'invalid' });
    expect(await refused(await create(words('no address')), { version: 1, carry: 'bare' })).toMatchObject({
      reason: 'invalid',
    });
    expect(await refused(id, { version: 2, carry: 'words' })).toMatchObject({ reason: 'invalid' });
  });

  it('has a level by hand, with what each costs, and paper remembers it', async () => {
    const id = await create(words('x'.repeat(40)));
    const before = await page(id);
    expect(before.code).toMatchObject({ version: 3, level: 'M' });
    expect(before.levels.map(({ level, figures }) => [level, figures?.version])).toEqual([
      ['L', 3],
      ['M', 3],
      ['Q', 4],
      ['H', 5],
    ]);
    const sheet = await scene.server.ok<SheetView>('Maren', 'POST', `/api/materials/${id}/sheets`, {
      kind: 'poster',
      paper: 'A4',
      goAhead: [],
    });
    expect((await change(id, { version: 1, level: 'H' })).level).toBe('H');
    const after = await page(id);
    expect(after.code).toMatchObject({ version: 5, level: 'H' });
    expect(after.ladder.rungs[0]?.figures).toMatchObject({ version: 5, level: 'H' });
    expect(after.readiness.paper).toMatchObject({ state: 'look-at' });
    expect(after.readiness.paper.changed).toContain('level');
    // The sheet that was made is drawn as it was.
    expect((await scene.server.as('Maren', 'GET', `/api/sheets/${sheet.id}/file`)).status).toBe(200);
    expect((await change(id, { version: 2, level: null })).level).toBeNull();
    expect((await page(id)).readiness.paper.state).toBe('done');
    expect(await refused(id, { version: 3, level: 'X' })).toMatchObject({ reason: 'invalid' });
  });

  it('moves to a page of its own with every word, and back', async () => {
    const text = 'Low water at 9:13.\nBring boots.';
    const id = await create({ ...words(text), instruction: 'Read it at the pier.' });
    const moved = await change(id, { version: 1, kept: { kind: 'written-page', document: documentFromText(text) } });
    expect(moved).toMatchObject({ kind: 'written-page', words: null, instruction: 'Read it at the pier.' });
    const token = moved.pageAddress?.split('/').pop() ?? '';
    expect(token).not.toBe('');
    const shown = await scene.server.as(null, 'GET', `/p/${token}`);
    expect([shown.status, shown.text]).toEqual([200, expect.stringContaining('Bring boots.')]);
    expect(await change(id, { version: 2, words: text })).toMatchObject({
      kind: 'message',
      words: text,
      pageAddress: null,
    });
    expect((await page(id)).code).toMatchObject({ carry: 'words', payload: text });
    expect((await scene.server.as(null, 'GET', `/p/${token}`)).status).toBe(404);
  });

  it('moves fields as well, with a first instruction that fits, and nothing else', async () => {
    const content = {
      kind: 'event',
      title: 'Harbour walk',
      date: '2027-06-12',
      startsAt: '',
      endsAt: '',
      place: '',
      about: 'x'.repeat(900),
    } as const;
    const id = await create({ content, pasted: 'Event', repairs: [] });
    const document = documentFromText('Harbour walk');
    expect(await change(id, { version: 1, kept: { kind: 'written-page', document } })).toMatchObject({
      content: null,
      instruction: 'Point your camera here and read the page.',
    });
    expect(await change(id, { version: 2, content })).toMatchObject({
      kind: 'event',
      content,
      instruction: 'Point your camera here and add it to your calendar.',
    });
    const address = await create(link('https://a.example/leaf'));
    expect(await refused(address, { version: 1, kept: { kind: 'written-page', document } })).toMatchObject({
      reason: 'invalid',
      fields: [{ field: 'kept' }],
    });
    expect(await refused(id, { version: 3, kept: { kind: 'written-page', document }, content })).toMatchObject({
      reason: 'invalid',
    });
    expect(await refused(id, { version: 3, words: 'x' })).toMatchObject({
      reason: 'invalid',
      fields: [{ field: 'words' }],
    });
  });

  it('names the devices whose scanners do nothing with it, and what to do on the sheet', async () => {
    const devices = scene.server.dataSource.getRepository(Device);
    await devices.update({ name: 'Laptops' }, { actsOn: ['link'] });
    const id = await create({
      content: { kind: 'phone', number: '+353 1 555 0101', name: 'Office' },
      pasted: 'Phone',
      repairs: [],
    });
    expect((await page(id)).readiness.carries).toMatchObject({
      state: 'look-at',
      act: 'phone',
      ignoredBy: ['Laptops'],
    });
    await scene.server.ok('Maren', 'POST', `/api/materials/${id}/sheets`, {
      kind: 'poster',
      paper: 'A4',
      goAhead: ['code-to-check'],
    });
    const rows: unknown = await scene.server.dataSource.query('SELECT content FROM sheets WHERE material_id = ?', [id]);
    expect(JSON.stringify(rows)).toContain('Only text appears? Dial the number in it.');
  });
});
