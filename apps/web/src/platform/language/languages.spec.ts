import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

const web = join(__dirname, '../../..');
const languages = join(web, 'languages');
type Texts = Readonly<Record<string, Readonly<Record<string, string>>>>;

const read = (language: string, file: string): Texts =>
  JSON.parse(readFileSync(join(languages, language, file), 'utf8')) as Texts;
const areas = readdirSync(join(languages, 'en')).map((file) => file.replace('.json', ''));
const stem = (key: string): string => key.replace(/_(?:zero|one|two|few|many|other)$/, '');
/** "{{name}}" and "<0>" of a text. */
const holes = (text: string): readonly string[] =>
  [
    ...new Set([...text.matchAll(/\{\{(\w+)\}\}|<(\d+)\/?>/g)].map(([, name, element]) => name ?? `<${element}>`)),
  ].sort();

/** One text that some page takes. */
interface Use {
  readonly where: string;
  readonly area: string;
  readonly key: string;
  /** Null where they are not written out at the place itself. */
  readonly values: readonly string[] | null;
}

/** A literal key, both keys of a condition, or every known key that a template can make. */
function keysIn(node: ts.Expression, known: readonly string[]): readonly string[] {
  if (ts.isStringLiteralLike(node)) return [node.text];
  if (ts.isParenthesizedExpression(node)) return keysIn(node.expression, known);
  if (ts.isConditionalExpression(node)) return [...keysIn(node.whenTrue, known), ...keysIn(node.whenFalse, known)];
  if (!ts.isTemplateExpression(node)) return [];
  const last = node.templateSpans.at(-1)?.literal.text ?? '';
  return known.filter((key) => key.startsWith(node.head.text) && key.endsWith(last));
}

function valuesIn(node: ts.Expression | undefined): readonly string[] | null {
  if (!node) return [];
  if (!ts.isObjectLiteralExpression(node) || node.properties.some(ts.isSpreadAssignment)) return null;
  return node.properties.map((property) => property.name?.getText() ?? '');
}

function usesIn(path: string): readonly Use[] {
  const text = readFileSync(path, 'utf8');
  const [, words] = /import \{[^}]*\bt\b[^}]*\} from '([^']*words\.js)'/.exec(text) ?? [];
  if (words === undefined) return [];
  const source = readFileSync(join(path, '..', words.replace(/\.js$/, '.ts')), 'utf8');
  const area = /catalogue\('([\w-]+)'/.exec(source)?.[1] ?? '';
  const known = keysOf(area);
  const file = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const uses: Use[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isCallExpression(node) && node.expression.getText() === 't' && node.arguments[0])
      for (const key of keysIn(node.arguments[0], known))
        uses.push({ where: path, area, key, values: valuesIn(node.arguments[1]) });
    if (ts.isJsxSelfClosingElement(node) && node.tagName.getText() === 'T')
      uses.push(...usesOfElement(node, path, area));
    ts.forEachChild(node, visit);
  };
  visit(file);
  return uses;
}

function usesOfElement(node: ts.JsxSelfClosingElement, where: string, area: string): readonly Use[] {
  const attribute = (name: string): ts.Expression | undefined => {
    const found = node.attributes.properties.find((each) => each.name?.getText() === name);
    const initializer = found && ts.isJsxAttribute(found) ? found.initializer : undefined;
    if (initializer && ts.isJsxExpression(initializer)) return initializer.expression;
    return initializer && ts.isStringLiteral(initializer) ? initializer : undefined;
  };
  const key = attribute('k');
  const components = attribute('components');
  const values = valuesIn(attribute('values'));
  const elements =
    components && ts.isArrayLiteralExpression(components) ? components.elements.map((_, index) => `<${index}>`) : [];
  return key
    ? keysIn(key, keysOf(area)).map((each) => ({ where, area, key: each, values: values && [...values, ...elements] }))
    : [];
}

function keysOf(area: string): readonly string[] {
  if (!areas.includes(area)) return [];
  return [
    ...new Set(
      Object.entries(read('en', `${area}.json`)).flatMap(([group, texts]) =>
        Object.keys(texts).map((name) => `${group}.${stem(name)}`),
      ),
    ),
  ];
}

const sources = readdirSync(join(web, 'src'), { recursive: true, encoding: 'utf8' })
  .filter((path) => /\.tsx?$/.test(path) && !/\.spec\.|^test\//.test(path))
  .map((path) => join(web, 'src', path));
const uses = sources.flatMap(usesIn);
const formsOf = ({ area, key }: Use): readonly string[] => {
  const [group = '', name = ''] = key.split('.');
  return Object.entries(read('en', `${area}.json`)[group] ?? {}).flatMap(([form, text]) =>
    stem(form) === name ? [text] : [],
  );
};

describe('the catalogue', () => {
  it.each(areas)('has no text of %s that nobody shows', (area) => {
    const used = new Set(uses.filter((use) => use.area === area).map(({ key }) => key));
    expect(keysOf(area).filter((key) => !used.has(key))).toEqual([]);
  });

  it('has every text that a page takes', () => {
    expect(uses.length).toBeGreaterThan(2000);
    expect(uses.filter((use) => formsOf(use).length === 0).map(({ where, key }) => `${where}: ${key}`)).toEqual([]);
  });

  it('is given what its texts leave open', () => {
    const wrong = uses.flatMap((use) => {
      if (use.values === null) return [];
      const given = new Set(use.values);
      const missing = formsOf(use)
        .flatMap(holes)
        .filter((hole) => !given.has(hole));
      return missing.length === 0 ? [] : [`${use.key}: ${missing.join(', ')}`];
    });
    expect(wrong).toEqual([]);
  });

  it('has one and many wherever something is counted', () => {
    for (const area of areas)
      for (const [group, texts] of Object.entries(read('en', `${area}.json`)))
        for (const name of Object.keys(texts))
          if (/_(?:one|other)$/.test(name))
            expect([`${group}.${stem(name)}`, `${stem(name)}_one` in texts, `${stem(name)}_other` in texts]).toEqual([
              `${group}.${stem(name)}`,
              true,
              true,
            ]);
  });

  it('leaves the same open in every language', () => {
    // The made-up one is written at every build.
    for (const language of readdirSync(languages).filter((each) => each !== 'qps'))
      for (const area of areas) {
        const [english, theirs] = [read('en', `${area}.json`), read(language, `${area}.json`)];
        for (const [group, texts] of Object.entries(theirs))
          for (const [name, text] of Object.entries(texts)) {
            const own = english[group]?.[name] ?? english[group]?.[`${stem(name)}_other`] ?? '';
            expect([`${language} ${group}.${name}`, holes(text)]).toEqual([`${language} ${group}.${name}`, holes(own)]);
          }
      }
  });
});
