/** Uploads by the tus protocol 1.0, as a browser does them. */
import request, { type Response } from 'supertest';
import type { Scene } from './scene.js';

const tus = { 'Tus-Resumable': '1.0.0' };

/** Begins an upload; answers with the response, whose Location names it. */
export async function beginUpload(scene: Scene, sizeBytes: number, who = 'Maren'): Promise<Response> {
  return request(scene.server.app.getHttpServer())
    .post('/api/uploads')
    .set({ ...tus, 'Upload-Length': String(sizeBytes), Cookie: await scene.server.cookieOf(who) });
}

/** Sends bytes from an offset on. */
export async function sendChunk(
  scene: Scene,
  uploadId: string,
  offset: number,
  bytes: Buffer,
  who = 'Maren',
): Promise<Response> {
  return request(scene.server.app.getHttpServer())
    .patch(`/api/uploads/${uploadId}`)
    .set({
      ...tus,
      'Upload-Offset': String(offset),
      'Content-Type': 'application/offset+octet-stream',
      Cookie: await scene.server.cookieOf(who),
    })
    .send(bytes);
}

export async function uploadOffset(scene: Scene, uploadId: string, who = 'Maren'): Promise<number> {
  const response = await request(scene.server.app.getHttpServer())
    .head(`/api/uploads/${uploadId}`)
    .set({ ...tus, Cookie: await scene.server.cookieOf(who) });
  return Number(response.headers['upload-offset']);
}

export function idOf(response: Response): string {
  return (response.headers.location ?? '').split('/').at(-1) ?? '';
}

/** An upload with all its bytes, or only begun. Returns its id. */
export async function uploaded(scene: Scene, content: string | Buffer, who = 'Maren', whole = true): Promise<string> {
  const bytes = Buffer.from(content);
  const begun = await beginUpload(scene, bytes.length, who);
  if (begun.status !== 201) throw new Error(`beginning an upload answered ${begun.status}: ${begun.text}`);
  const id = idOf(begun);
  if (!whole) return id;
  const sent = await sendChunk(scene, id, 0, bytes, who);
  if (sent.status !== 204) throw new Error(`sending answered ${sent.status}: ${sent.text}`);
  return id;
}
