import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { removeUnusedParts } from './unused-parts.mjs';

let modules;
beforeEach(() => (modules = mkdtempSync(join(tmpdir(), 'hapset-modules-'))));
afterEach(() => rmSync(modules, { recursive: true, force: true }));
const add = (...paths) => paths.forEach((path) => mkdirSync(join(modules, path), { recursive: true }));

test('keeps the two weights that sheets use, and everything of a family that is no weight', () => {
  add(
    ...['400Regular', '700Bold', '900Black', '400Regular_Italic', 'files'].map(
      (name) => `@expo-google-fonts/x/${name}`,
    ),
  );
  removeUnusedParts(modules);
  expect(readdirSync(join(modules, '@expo-google-fonts/x')).sort()).toEqual(['400Regular', '700Bold', 'files']);
});

test('leaves what is loaded, and runs again without complaint', () => {
  add(
    'pdfjs-dist/build',
    'pdfjs-dist/legacy',
    'typeorm/browser',
    'typeorm/driver',
    'lucide/dist/umd',
    'lucide/dist/esm',
  );
  removeUnusedParts(modules);
  removeUnusedParts(modules);
  expect(
    ['pdfjs-dist/build', 'typeorm/browser', 'lucide/dist/umd'].filter((part) => existsSync(join(modules, part))),
  ).toEqual([]);
  expect(
    ['pdfjs-dist/legacy', 'typeorm/driver', 'lucide/dist/esm'].every((part) => existsSync(join(modules, part))),
  ).toBe(true);
});

test('takes maps of packages, not of our own workspaces, which are links', () => {
  add('a/dist', 'own/dist', '@hapset');
  for (const path of ['a/dist/x.js.map', 'a/dist/x.d.ts.map', 'a/dist/x.js', 'a/map.json', 'own/dist/x.js.map'])
    writeFileSync(join(modules, path), '');
  const packages = mkdtempSync(join(tmpdir(), 'hapset-modules-'));
  writeFileSync(join(packages, 'x.js.map'), '');
  symlinkSync(packages, join(modules, '@hapset/core'));
  removeUnusedParts(modules);
  expect(readdirSync(join(modules, 'a/dist'))).toEqual(['x.js']);
  expect(existsSync(join(modules, 'a/map.json'))).toBe(true);
  expect(readdirSync(packages)).toEqual(['x.js.map']);
  rmSync(packages, { recursive: true, force: true });
});
