/** Texts inside a page: its lines, the rules of its style sheets, where it leads on. */
import { parseUrl } from '@hapset/core';
import { pageLimits } from './page-limits.js';

/** Finds the rules of a style sheet outside at-rules, in one pass. */
export function* topRules(css: string): Generator<{ readonly selectors: string; readonly rule: string }> {
  let [depth, from, opened] = [0, 0, 0];
  for (let at = 0; at < css.length; at += 1) {
    const character = css[at];
    if (character === '{') {
      if (depth === 0) opened = at;
      depth += 1;
    } else if (character === '}') {
      depth = Math.max(0, depth - 1);
      if (depth > 0) continue;
      const selectors = css.slice(from, opened);
      if (!selectors.includes('@')) yield { selectors, rule: css.slice(opened + 1, at) };
      from = at + 1;
    }
  }
}

export class Lines {
  readonly first: string[] = [];
  characters = 0;

  add(line: string): void {
    this.characters += line.length;
    if (this.first.length < pageLimits.firstLines) this.first.push(line.slice(0, pageLimits.lineLength));
  }
}

export function squeeze(text: string): string {
  return text.replace(/\s+/gu, ' ').trim();
}

/** Target of `<meta http-equiv="refresh" content="0; url=...">` that leads on within ten seconds. */
export function refreshTarget(content: string, address: string): string | null {
  const target = /^\s*(\d+)[^;,]{0,20}[;,]\s*(?:url\s*=\s*)?['"]?([^'"]+)/i.exec(content.slice(0, 4000));
  if (!target || Number(target[1]) > 10) return null;
  return parseUrl(target[2] ?? '', address)?.href ?? null;
}
