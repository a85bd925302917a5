/** Style, fonts and scripts of the students' pages, as the pages' build named them. */
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';

export interface StudentAssetNames {
  /** The style sheet itself, so that a page comes in one trip. */
  readonly style: string;
  readonly font: string | null;
  readonly pdfScript: string | null;
  readonly playerScript: string | null;
}

interface ManifestEntry {
  readonly file: string;
  readonly css?: readonly string[];
  readonly assets?: readonly string[];
}

@Injectable()
export class StudentAssets {
  private known: StudentAssetNames | null = null;

  constructor(@Inject(CONFIGURATION) private readonly configuration: Configuration) {}

  /** Without a build the pages are plain and work all the same. */
  get(): StudentAssetNames {
    if (this.known) return this.known;
    const file = join(this.configuration.webFolder, 'manifest.json');
    if (!existsSync(file)) return { style: '', font: null, pdfScript: null, playerScript: null };
    const manifest = JSON.parse(readFileSync(file, 'utf8')) as Readonly<Record<string, ManifestEntry>>;
    const style = manifest['src/student-pages/student-page/student.css'];
    const address = (entry: ManifestEntry | undefined): string | null => (entry ? `/${entry.file}` : null);
    this.known = {
      style: style ? readFileSync(join(this.configuration.webFolder, style.file), 'utf8') : '',
      font: style?.assets?.find((asset) => /-latin-wght-[^/]*\.woff2$/.test(asset)) ?? null,
      pdfScript: address(manifest['src/student-pages/student-page/pdf-viewer.ts']),
      playerScript: address(manifest['src/student-pages/student-page/player.ts']),
    };
    return this.known;
  }
}
