// Page shapes with the verdict that a careful person would give, served over HTTP and opened like any link. A third was
// written before the rules (held-out.json). `in-view.json` is what the rules were made with; `unseen.json` was written before
// the rule that open needs proof, and is not read while rules are changed. `unproven`: a person would call it open, but so
// little is on it that the check has to ask one.
import { readFileSync, readdirSync } from 'node:fs';
import { createServer } from 'node:http';
import { AddressGuard } from '../../apps/server/dist/opens/student-browser/address-guard.js';
import { StudentBrowser } from '../../apps/server/dist/opens/student-browser/student-browser.js';
import { compileServices, judgeAccess, mayBeRejudged, wantsDrawing, withDrawn } from '@hapset/core';
import { pino } from 'pino';
import { findChromium } from '../../apps/server/dist/platform/configuration/find-program.js';
import { StudentViews } from '../../apps/server/dist/opens/student-view/student-views.js';
import { viewLimits } from '../../apps/server/dist/opens/student-view/view-page.js';
import { compileRe2 } from '@hapset/core/re2';

const prose = {
  en: 'The sandbank moved in the night. Nobody heard it, though the whole village was awake and counted the waves between two gusts. In the morning the boats lay on the wrong side of it, and the pilots walked along the new edge with long sticks. They found a chair, two crates and a bell. The bell still rang. Old people said that it had rung before, in another storm, and that the sand would come back as it had then. The children measured the new bank with a rope of thirty knots and drew it on a sheet of squared paper. ',
  de: 'In der Nacht ist die Sandbank gewandert. Niemand hat es gehört, obwohl das ganze Dorf wach war und die Wellen zwischen zwei Böen zählte. Am Morgen lagen die Boote auf der falschen Seite, und die Lotsen gingen mit langen Stöcken die neue Kante ab. Sie fanden einen Stuhl, zwei Kisten und eine Glocke. Die Glocke läutete noch. Die Alten sagten, sie habe schon einmal geläutet, in einem anderen Sturm, und der Sand werde zurückkommen wie damals. Die Kinder maßen die neue Bank mit einem Seil von dreißig Knoten. ',
  fr: "Le banc de sable s'est déplacé pendant la nuit. Personne ne l'a entendu, alors que tout le village veillait et comptait les vagues entre deux rafales. Au matin, les bateaux étaient du mauvais côté, et les pilotes longeaient le nouveau bord avec de longs bâtons. Ils trouvèrent une chaise, deux caisses et une cloche. La cloche sonnait encore. Les anciens disaient qu'elle avait déjà sonné, dans une autre tempête, et que le sable reviendrait comme alors. Les enfants mesurèrent le banc avec une corde de trente nœuds. ",
  es: 'El banco de arena se movió durante la noche. Nadie lo oyó, aunque todo el pueblo estaba despierto y contaba las olas entre dos ráfagas. Por la mañana los barcos estaban en el lado equivocado, y los prácticos recorrían el borde nuevo con palos largos. Encontraron una silla, dos cajas y una campana. La campana todavía sonaba. Los viejos decían que ya había sonado antes, en otra tormenta, y que la arena volvería como entonces. Los niños midieron el banco con una cuerda de treinta nudos. ',
  ja: '夜のあいだに砂州が動いた。村じゅうが起きていて、風と風のあいだの波を数えていたのに、だれもその音を聞かなかった。朝になると船は反対側にあり、水先人たちは長い棒を持って新しい岸を歩いた。椅子がひとつ、箱がふたつ、鐘がひとつ見つかった。鐘はまだ鳴った。年寄りたちは、前の嵐のときにも鳴ったと言い、砂はあのときのように戻ってくると言った。子どもたちは結び目が三十ある綱で砂州をはかり、方眼紙に描いた。',
};
const longEnough = 1200;
const names = ['board', 'gate', 'go', 'gatepost', 'cofferlane', 'askleaf'];

/** Verdicts by which a student sees the material. */
export const lettingIn = ['open', 'open-editable', 'partial', 'obstructed'];
/** Verdicts that must never be taken for open ones. */
export const locking = ['sign-in', 'organisation', 'named-only', 'closed', 'missing'];

/** @param name 'in-view' or 'held-out' */
export function readShapes(name) {
  const shapes = JSON.parse(readFileSync(new URL(`./${name}.json`, import.meta.url), 'utf8'));
  return shapes.map((shape, index) => ({
    ...shape,
    answers: shape.answers ?? [[`board/${name}/${index}`, { html: shape.html }]],
  }));
}

/** The same pages as most services send them today: an empty shell, and a script that draws the page. */
export function drawnByScript(shapes) {
  return shapes
    .filter(({ answers }) => answers.length === 1 && typeof answers[0][1].html === 'string')
    .map(({ answers: [[place, answer]], ...shape }) => ({
      ...shape,
      answers: [[place, { ...answer, html: shellOf(answer.html), status: 200 }]],
    }));
}

function shellOf(html) {
  const text = JSON.stringify(html).replaceAll('<', '\\u003c');
  return `<!doctype html><title>One moment</title><div id="root"></div><script>setTimeout(() => {
    const page = new DOMParser().parseFromString(${text}, 'text/html');
    document.title = page.title;
    const root = document.getElementById('root').attachShadow({ mode: 'open' });
    root.append(...page.head.querySelectorAll('style'), ...page.body.childNodes);
  }, 100)</script>`;
}

/**
 * Opens every shape and judges it: `{ name, expect, verdict, reasons }` in the same order.
 * @param withBrowser whether a browser looks as well where the application would let it
 */
export async function judgeShapes(shapes, withBrowser = false) {
  const web = await serve(shapes);
  const trustedHosts = names.map((name) => `${name}.localhost:${web.port}`);
  const browser = new StudentBrowser(new AddressGuard(trustedHosts));
  const views = withBrowser ? quickViews(trustedHosts) : null;
  const folder = new URL('../../demo/services/', import.meta.url);
  const catalogue = compileServices(
    readdirSync(folder).map((file) => JSON.parse(readFileSync(new URL(file, folder), 'utf8'))),
    compileRe2,
  );
  const results = [];
  try {
    for (const { name, expect, answers } of shapes) {
      const link = web.address(answers[0][0]);
      const evidence = await browser.open(link);
      const plain = judgeAccess(evidence, catalogue);
      const view = views && wantsDrawing(evidence, plain, false) ? await views.see(link, [], noStop) : null;
      const isJudgedAgain = view?.drawn && mayBeRejudged(plain);
      const judgement = isJudgedAgain ? judgeAccess(withDrawn(evidence, view.drawn), catalogue) : plain;
      results.push({ name, expect, ...judgement });
    }
  } finally {
    await views?.beforeApplicationShutdown();
    await web.stop();
  }
  return results;
}

const noStop = new AbortController().signal;

/** Pages of a corpus wait for nothing, so that they are watched for a shorter time. */
export function quickViews(trustedHosts) {
  const views = new StudentViews({ chromiumProgram: findChromium(), trustedHosts }, pino({ level: 'silent' }));
  views.limits = { ...viewLimits, quietMs: 200, watchedMs: 300, watchedShortMs: 500 };
  // Root has no sandbox in Chromium.
  views.sandbox = process.getuid() !== 0;
  return views;
}

async function serve(shapes) {
  const pages = new Map(shapes.flatMap(({ answers }) => answers));
  let port = 0;
  const address = (place) => (/^\w+:\/\//.test(place) ? place : `http://${place.replace('/', `.localhost:${port}/`)}`);
  const server = createServer((request, response) => {
    const answer = pages.get(request.headers.host.replace(`.localhost:${port}`, '') + request.url);
    if (!answer) return void response.writeHead(404, { 'Content-Type': 'text/html' }).end('<title>Not there</title>');
    const { status = 200, headers = {}, to, html, text, latin1 } = answer;
    const body =
      html === undefined
        ? Buffer.from(latin1 ?? text ?? '', latin1 === undefined ? 'utf8' : 'latin1')
        : Buffer.from(filled(html, address));
    response
      .writeHead(status, {
        'Content-Type': 'text/html; charset=utf-8',
        ...headers,
        ...(to && { Location: address(to) }),
      })
      .end(body);
  });
  await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
  ({ port } = server.address());
  return { port, address, stop: () => new Promise((resolve) => (server.close(resolve), server.closeAllConnections())) };
}

/** `{prose de}` is a text of that language, long enough to be an article; `{gate/login}` an address. */
function filled(html, address) {
  return html
    .replace(/\{prose (\w\w)\}/g, (_, language) =>
      prose[language].repeat(Math.ceil(longEnough / prose[language].length / (language === 'ja' ? 2 : 1))),
    )
    .replace(/\{((?:gate|board|go)\/[^}]*)\}/g, (_, place) => address(place));
}
