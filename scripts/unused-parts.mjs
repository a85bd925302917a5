// Parts of npm packages that nothing of ours loads, and that take half of the disk. They go right after `npm ci`.
import { existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';

/** Weights that sheets are set in; faces.ts names the files. */
const usedWeights = new Set(['400Regular', '700Bold']);
const unused = [
  // What pdfjs-dist draws on in Node; ours runs in browsers, in its build for older ones too.
  '@napi-rs/canvas',
  '@napi-rs/canvas-linux-x64-gnu',
  'pdfjs-dist/build',
  // For other places than Node, and for pages without a bundler.
  'typeorm/browser',
  'lucide/dist/umd',
];

/**
 * Removes them. What isn't there is no error, so it can run again after an interruption.
 * @param {string} modules the node_modules folder
 */
export function removeUnusedParts(modules) {
  for (const part of unused) rmSync(join(modules, part), { recursive: true, force: true });
  // Maps of packages' sources: nobody follows a stack into them, and they are a fifth of all.
  removeMaps(modules);
  const fonts = join(modules, '@expo-google-fonts');
  if (!existsSync(fonts)) return;
  for (const family of readdirSync(fonts))
    for (const entry of readdirSync(join(fonts, family)))
      if (/^\d{3}[A-Z]/.test(entry) && !usedWeights.has(entry))
        rmSync(join(fonts, family, entry), { recursive: true, force: true });
}

/** `index.js.map`, `style.css.map`, `index.d.ts.map`. Our own workspaces are links among the packages, and are left alone. */
function removeMaps(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true }))
    if (entry.isDirectory()) removeMaps(join(folder, entry.name));
    else if (entry.isFile() && /\.(?:[cm]?js|css|[cm]?ts)\.map$/.test(entry.name)) rmSync(join(folder, entry.name));
}
