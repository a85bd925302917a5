/** Pages of what is kept here, as HTML: found by their token, in the language that is asked for. */
import { Injectable } from '@nestjs/common';
import type { FileView } from '@hapset/contract';
import { filesOf, pageAddress } from '@hapset/core';
import { allStudentTexts } from '@hapset/student-texts';
import { dayIn } from '../../platform/clock/day-in.js';
import { Clock } from '../../platform/clock/clock.js';
import { askedLanguage, type Asking } from '../../platform/language/asked-language.js';
import { FileService } from '../../gather/file/file.service.js';
import { toFileView } from '../../gather/file/file.view.js';
import { toKeptView } from '../../gather/material/material-views.js';
import { MaterialService } from '../../gather/material/material.service.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { StudentAssets } from './student-assets.js';
import { plainFontsAt, type Frame } from './student-frame.html.js';
import { goneHtml, studentPageHtml, type GoneReason } from './student-page.html.js';

export interface RenderedPage {
  readonly html: string;
  readonly status: 200 | 404 | 410;
  /** Entity tag of what is shown; null of a page that says why nothing is. */
  readonly tag: string | null;
  /** What it shows; null where nothing is shown. */
  readonly materialId: string | null;
}

@Injectable()
export class StudentPages {
  constructor(
    private readonly materials: MaterialService,
    private readonly files: FileService,
    private readonly school: SchoolService,
    private readonly assets: StudentAssets,
    private readonly clock: Clock,
  ) {}

  async render(token: string, asking: Asking): Promise<RenderedPage> {
    const [material, school] = await Promise.all([
      /^[a-z0-9]{16}$/.test(token) ? this.materials.findByPageToken(token) : null,
      this.school.get(),
    ]);
    const asked = askedLanguage(asking, school.language);
    const frame: Frame = { school, asked, assets: this.assets.get(), fontsAt: plainFontsAt };
    const gone = (reason: GoneReason, status: 404 | 410): RenderedPage => ({
      html: goneHtml(reason, frame),
      status,
      tag: null,
      materialId: null,
    });
    if (!material?.kept) return gone('missing', 404);
    if (material.removedAt) return gone('withdrawn', 410);
    if (material.shownUntil !== null && dayIn(school.timeZone, this.clock.now()) > material.shownUntil)
      return gone('over', 410);
    const found = await this.files.byIds(filesOf(material.kept));
    const fileOf = (id: string): FileView | null => {
      const file = found.get(id);
      return file && file.removedAt === null ? toFileView(file) : null;
    };
    const kept = toKeptView(material.kept, fileOf);
    if (!kept) return gone('withdrawn', 410);
    const html = studentPageHtml({
      title: material.title,
      frame: { ...frame, fontsAt: `/p/${token}/fonts` },
      address: pageAddress(school.publicAddress, token),
      kept,
      document: material.kept.kind === 'written-page' ? material.kept.document : null,
      fileOf,
    });
    const versions = [...found.values()].map((file) => file.version).join('.');
    const tag = `"${material.id}-${material.version}-${versions}-${school.version}-${asked.tag}"`;
    return { html, status: 200, tag, materialId: material.id };
  }

  /** All that a page without a material, or the reader, can say in the language that is asked for. */
  async plainWords(asking: Asking): Promise<string> {
    const { name, language } = await this.school.get();
    return `${name}${allStudentTexts(askedLanguage(asking, language).tag)}`;
  }
}
