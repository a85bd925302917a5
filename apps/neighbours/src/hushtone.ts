/** Hushtone: sounds. Its owner decides who may listen, until when, and whether it may be taken along. */
import express, { type Express, type Request, type Response } from 'express';
import type { Tone } from './contents.js';
import type { Cupboard } from './cupboard.js';
import { doorChoices, entrance, fullAddress, ownerOnly, setDoor } from './doors.js';
import type { Gatepost } from './gatepost.js';
import { escapeHtml, page, type Dress } from './page.js';
import { speak } from './speech.js';

const dress: Dress = {
  service: 'Hushtone',
  banner: 'h u s h t o n e',
  css: `body{margin:0;background:#eef3f6;color:#213547;font:18px/1.6 "Gill Sans","Trebuchet MS",sans-serif}header{padding:26px;text-align:center;font-size:14px;letter-spacing:.4em;color:#6b7f90}
main{max-width:520px;margin:0 auto 40px;padding:34px;background:#fff;border-radius:28px;text-align:center}audio{width:100%}input{font:inherit}
button,.take{font:inherit;display:inline-block;padding:8px 22px;border:2px solid #213547;border-radius:20px;background:none;color:#213547;text-decoration:none}`,
};
const rate = 8000;
const seconds = 4;

export function hushtone(cupboard: Cupboard, gatepost: Gatepost): Express {
  const app = express();
  app.use(express.urlencoded({ extended: false, limit: '10kb' }));
  const find = (request: Request): Tone | undefined => {
    const slug = String(request.params.slug);
    return Object.hasOwn(cupboard.contents.tones, slug) ? cupboard.contents.tones[slug] : undefined;
  };
  app.get('/', (_request, response) => void response.send(page(dress, 'Hushtone', '<h1>Listen closely</h1>')));
  app.get('/arrive', (request, response) => gatepost.arrive(request, response));

  app.get(['/tone/:slug', '/tone/:slug/sound.wav'], (request, response) => {
    const say = speak(request);
    const tone = find(request);
    if (!tone)
      return void response.status(404).send(page(dress, say('shutTone'), `<h1>${say('shutTone')}</h1>`, say.language));
    switch (entrance(tone, gatepost.visitor(request))) {
      case 'enter':
        if (request.path.endsWith('.wav')) return sendSound(tone, request, response);
        return void response.send(tonePage(tone, request));
      case 'over':
        return void response
          .status(410)
          .send(
            page(
              dress,
              say('over'),
              `<h1>${say('over')}</h1><p>${say('overSince')} ${tone.until ?? ''}.</p>`,
              say.language,
            ),
          );
      case 'to-the-gate':
        return response.redirect(gatepost.comeInAddress(fullAddress(request), true));
      case 'ask':
      case 'forbidden':
        return void response
          .status(403)
          .send(page(dress, say('shutTone'), `<h1>${say('shutTone')}</h1><p>${say('ownerChose')}</p>`, say.language));
    }
  });

  app.get('/tone/:slug/desk', (request, response) => {
    const tone = find(request);
    if (!tone) return void response.status(404).type('text/plain').send('No such tone.');
    if (ownerOnly(tone, gatepost, request, response)) response.send(deskPage(tone));
  });
  app.post(
    '/tone/:slug/desk',
    (
      request: Request<Record<string, string>, unknown, { door?: string; until?: string; mayTake?: string }>,
      response: Response,
    ) => {
      const tone = find(request);
      if (!tone || !ownerOnly(tone, gatepost, request, response)) return;
      tone.mayTake = request.body.mayTake === 'on';
      setDoor(tone, request.body.door, request.body.until, cupboard);
      response.redirect(request.path);
    },
  );
  return app;
}

function tonePage({ title, about, owner, mayTake }: Tone, request: Request): string {
  const say = speak(request);
  const sound = `${request.path.replace(/\/$/, '')}/sound.wav`;
  const take = mayTake
    ? `<p><a class="take" href="${escapeHtml(sound)}?take=1" download>${say('takeAlong')}</a></p>`
    : '';
  return page(
    dress,
    title,
    `<h1>${escapeHtml(title)}</h1><p>${escapeHtml(about)}</p><audio controls src="${escapeHtml(sound)}" aria-label="${say('listen')}"></audio>${take}<p><small>${escapeHtml(owner)}</small></p>`,
    say.language,
  );
}

function deskPage(tone: Tone): string {
  return page(
    dress,
    `Sound desk: ${tone.title}`,
    `<h1>${escapeHtml(tone.title)}</h1><form method="post"><h2>Who may listen</h2>${doorChoices(tone)}
<p><label><input type="checkbox" name="mayTake"${tone.mayTake ? ' checked' : ''}> May be taken along</label></p><button>Keep</button></form>`,
  );
}

/** A tone that swells and fades, as WAV, mono, 16 bits. */
function sendSound({ hertz, mayTake }: Tone, request: Request, response: Response): void {
  const samples = rate * seconds;
  const wav = Buffer.alloc(44 + samples * 2);
  wav.write('RIFF', 0);
  wav.writeUInt32LE(36 + samples * 2, 4);
  wav.write('WAVEfmt ', 8);
  wav.writeUInt32LE(16, 16);
  wav.writeUInt16LE(1, 20);
  wav.writeUInt16LE(1, 22);
  wav.writeUInt32LE(rate, 24);
  wav.writeUInt32LE(rate * 2, 28);
  wav.writeUInt16LE(2, 32);
  wav.writeUInt16LE(16, 34);
  wav.write('data', 36);
  wav.writeUInt32LE(samples * 2, 40);
  for (let index = 0; index < samples; index += 1)
    wav.writeInt16LE(
      Math.round(8000 * Math.sin((Math.PI * index) / samples) * Math.sin((index / rate) * 2 * Math.PI * hertz)),
      44 + index * 2,
    );
  if (mayTake && request.query.take !== undefined)
    response.setHeader('Content-Disposition', 'attachment; filename="sound.wav"');
  response.type('audio/wav').send(wav);
}
