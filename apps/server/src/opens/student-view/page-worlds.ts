/**
 * Asks the frames of a page what a person would see in them, in worlds of their own: the page's scripts share the
 * document with us, but neither functions nor values (Chrome DevTools Protocol, Page.createIsolatedWorld).
 */
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { SeenFrame } from '@hapset/in-page';
import type { CDPSession, Frame, Page } from 'playwright-core';

const framesAtMost = 12;
const framesDeep = 3;
/** What a script of ours may take in one frame. */
const scriptMs = 3000;
/** Of what one frame tells, as JSON. Its own limits keep it far below. */
const answerCharacters = 4_000_000;

const scriptFile = fileURLToPath(new URL('../../../../../packages/in-page/dist-page/page.js', import.meta.url));
let script: string | null = null;

/** Handed to a document once; read once for all. */
function scriptText(): string {
  script ??= readFileSync(scriptFile, 'utf8');
  return script;
}

interface FrameNode {
  readonly frame: {
    readonly id: string;
    readonly url: string;
    readonly name?: string;
    readonly unreachableUrl?: string;
  };
  readonly childFrames?: readonly FrameNode[];
}

/** A frame as the protocol knows it. */
interface Known {
  readonly session: CDPSession;
  readonly node: FrameNode;
}

/** What was seen of a page: its own document, and those of visible frames. */
export interface SeenFrames {
  readonly main: SeenFrame;
  readonly inner: readonly { readonly seen: SeenFrame; readonly inLayer: boolean }[];
}

export class PageWorlds {
  private constructor(
    private readonly page: Page,
    private readonly session: CDPSession,
  ) {}

  static async of(page: Page): Promise<PageWorlds> {
    return new PageWorlds(page, await page.context().newCDPSession(page));
  }

  /** Changes whenever the page does. */
  async pulse(): Promise<string> {
    return (await this.evaluate(await this.main(), 'hapsetPage.pulse()')) as string;
  }

  async primePlayers(): Promise<void> {
    await this.evaluate(await this.main(), '(hapsetPage.primePlayers(), 1)');
  }

  /** @throws Error where the browser shows a page of its own, since none came */
  async see(): Promise<SeenFrames> {
    const known = await this.main();
    if (known.node.frame.unreachableUrl !== undefined) throw new Error('No page came.');
    const main = (await this.evaluate(known, 'hapsetPage.seeFrame()')) as SeenFrame;
    const inner: { seen: SeenFrame; inLayer: boolean }[] = [];
    await this.seeInside({ frame: this.page.mainFrame(), known, seen: main, inLayer: false }, 1, inner);
    return { main, inner };
  }

  private async main(): Promise<Known> {
    return { session: this.session, node: await treeOf(this.session) };
  }

  private async seeInside(
    outer: { readonly frame: Frame; readonly known: Known; readonly seen: SeenFrame; readonly inLayer: boolean },
    depth: number,
    found: { seen: SeenFrame; inLayer: boolean }[],
  ): Promise<void> {
    if (depth > framesDeep) return;
    const local = [...(outer.known.node.childFrames ?? [])];
    for (const frame of outer.frame.childFrames()) {
      if (found.length >= framesAtMost) return;
      const known = await this.knownAs(frame, local, outer.known.session);
      const place = known && (await placeOf(frame, outer.seen));
      if (!known || !place) continue;
      const seen = (await this.evaluate(known, 'hapsetPage.seeFrame()').catch(() => null)) as SeenFrame | null;
      if (!seen) continue;
      const inLayer = outer.inLayer || place.inLayer;
      found.push({ seen, inLayer });
      await this.seeInside({ frame, known, seen, inLayer }, depth + 1, found);
    }
  }

  /** A frame of another site has a session of its own; others are among the children of the outer one. */
  private async knownAs(frame: Frame, local: FrameNode[], session: CDPSession): Promise<Known | null> {
    try {
      const own = await this.page.context().newCDPSession(frame);
      return { session: own, node: await treeOf(own) };
    } catch {
      const at = local.findIndex(({ frame: { url, name } }) => url === frame.url() && (name ?? '') === frame.name());
      const [node] = at < 0 ? [] : local.splice(at, 1);
      return node ? { session, node } : null;
    }
  }

  /** @throws Error where the script fails, takes too long or says too much */
  private async evaluate({ session, node }: Known, question: string): Promise<unknown> {
    const { executionContextId } = await session.send('Page.createIsolatedWorld', {
      frameId: node.frame.id,
      worldName: 'hapset',
    });
    const ask = async (expression: string): Promise<unknown> => {
      const contextId = executionContextId;
      const { result, exceptionDetails } = await session.send('Runtime.evaluate', {
        expression,
        contextId,
        returnByValue: true,
        timeout: scriptMs,
      });
      if (exceptionDetails) throw new Error(`A frame could not be read: ${exceptionDetails.text}`);
      return result.value;
    };
    const known = `typeof hapsetPage === 'undefined' ? null : JSON.stringify(${question})`;
    const value =
      (await ask(known)) ?? (await ask(`(() => { ${scriptText()}; globalThis.hapsetPage = hapsetPage; })(), ${known}`));
    if (typeof value !== 'string' || value.length > answerCharacters)
      throw new Error('A frame told nothing, or too much.');
    return JSON.parse(value);
  }
}

async function treeOf(session: CDPSession): Promise<FrameNode> {
  return (await session.send('Page.getFrameTree')).frameTree as FrameNode;
}

/** The visible frame of the outer page that it is, told by its place; null for one that nobody sees. */
async function placeOf(frame: Frame, outer: SeenFrame): Promise<SeenFrame['frames'][number] | null> {
  try {
    const element = await frame.frameElement();
    const box = await element.boundingBox();
    const isVisible = await element.isVisible();
    await element.dispose();
    if (!box || !isVisible) return null;
    const isSame = (one: number, other: number): boolean => Math.abs(one - other) < 1.5;
    return (
      outer.frames.find(({ box: seen }) => isSame(seen.width, box.width) && isSame(seen.height, box.height)) ?? null
    );
  } catch {
    return null; // It is gone by now.
  }
}
