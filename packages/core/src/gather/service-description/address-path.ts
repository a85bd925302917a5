/** Paths of descriptions: "/leaf/{leaf}/change". Compared part by part, so that none can take long. */

/** True when the text can be used as a path: begins with "/", `**` only at its end, names are letters and digits. */
export function isAddressPath(text: string): boolean {
  if (!text.startsWith('/') || text.startsWith('//') || /[?#\s]/.test(text)) return false;
  const parts = partsOf(text);
  return parts.every((part, index) => {
    if (part === '**') return index === parts.length - 1;
    return part === '*' || /^\{[a-z][a-zA-Z0-9]*\}$/.test(part) || !/[{}*]/.test(part);
  });
}

/** Names between braces, in their order. */
export function namesIn(template: string): readonly string[] {
  return [...template.matchAll(/\{([^{}]*)\}/g)].map(([, name]) => name ?? '');
}

/** The named parts of a path that fits; null for one that does not. */
export function matchPath(template: string, path: string): Readonly<Record<string, string>> | null {
  const wanted = partsOf(template);
  const given = partsOf(path);
  const named: Record<string, string> = {};
  for (const [index, part] of wanted.entries()) {
    if (part === '**') return named;
    const here = given[index];
    if (here === undefined) return null;
    if (part.startsWith('{')) named[part.slice(1, -1)] = here;
    else if (part !== '*' && part !== here) return null;
  }
  return wanted.length === given.length ? named : null;
}

/** Puts named parts into a template, as they stood in the address. Names without a part become empty. */
export function fillTemplate(template: string, named: Readonly<Record<string, string>>): string {
  return template.replace(/\{([^{}]*)\}/g, (_, name: string) =>
    Object.hasOwn(named, name) ? (named[name] ?? '') : '',
  );
}

function partsOf(path: string): readonly string[] {
  return path.split('/').filter((part) => part !== '');
}
