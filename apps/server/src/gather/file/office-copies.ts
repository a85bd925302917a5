/** Adds the PDF of an office file to what is kept of it. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { stat } from 'node:fs/promises';
import { Repository } from 'typeorm';
import { StoredContent } from './stored-content.entity.js';
import { JobService } from '../../platform/queue/job.service.js';
import { Storage } from '../../platform/storage/storage.js';
import { OfficeConverter } from '../office/office-converter.js';

export const officeJob = 'convert-office';

@Injectable()
export class OfficeCopies {
  constructor(
    @InjectRepository(StoredContent) private readonly contents: Repository<StoredContent>,
    private readonly storage: Storage,
    private readonly converter: OfficeConverter,
    private readonly jobs: JobService,
  ) {
    jobs.handle({ name: officeJob, pool: 'cores', work: ({ subject, stop }) => this.convert(subject, stop) });
  }

  /** Asks for the PDF, where there is somebody to make it. */
  async ask({ hash, media, variants }: StoredContent): Promise<void> {
    if (media === 'office' && this.converter.program !== null && !variants.some(({ name }) => name === 'pdf'))
      await this.jobs.enqueue({ kind: officeJob, subject: hash });
  }

  private async convert(hash: string, stop: AbortSignal): Promise<void> {
    const content = await this.contents.findOneBy({ hash });
    if (!content || content.variants.some(({ name }) => name === 'pdf')) return;
    await this.converter.convert(this.storage.open(hash), stop, async (pdf) => {
      const { size: sizeBytes } = await stat(pdf);
      const key = `${hash}.pdf`;
      await this.storage.take(key, pdf);
      await this.contents.update(
        { hash },
        { variants: [...content.variants, { name: 'pdf', key, contentType: 'application/pdf', sizeBytes }] },
      );
    });
  }
}
