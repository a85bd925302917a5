/** Talks to the server about one page that is being written: what it has, what it is to keep, and what somebody else wrote. */
import { routes, type WrittenPageView } from '@hapset/contract';
import type { PageDocument } from '@hapset/core';
import { call } from '../../platform/api/client.js';
import { ApiError } from '../../platform/api/problem-error.js';

export class PageSaver {
  private keepsBefore = false;

  /** @param known what the server has, as far as is known here */
  constructor(
    private readonly materialId: string,
    private known: Pick<WrittenPageView, 'version' | 'document'>,
    private readonly onSaved: () => void,
  ) {}

  get document(): PageDocument {
    return this.known.document;
  }

  /** The version moved for another reason: its title was changed. */
  moved(version: number): void {
    this.known = { ...this.known, version };
  }

  /** The next saving keeps what stood there, whatever it is. */
  keepBefore(): void {
    this.keepsBefore = true;
  }

  /** @throws PageConflict where somebody else saved another page meanwhile, ApiError */
  async save(document: PageDocument): Promise<void> {
    try {
      await this.put(document, this.known.version, this.keepsBefore);
    } catch (error) {
      if (!(error instanceof ApiError) || error.reason !== 'stale') throw error;
      const other = await this.load();
      // Only its title was changed: nothing stands against this saving.
      if (JSON.stringify(other.document) !== JSON.stringify(this.known.document)) throw new PageConflict(other);
      await this.put(document, other.version, this.keepsBefore);
    }
  }

  /** Ends a conflict. The page that is not chosen is kept as an earlier one. @throws ApiError */
  async settle(mine: PageDocument, choice: 'mine' | 'other'): Promise<void> {
    const other = await this.load();
    await this.put(mine, other.version, true);
    // Taking the other one back keeps mine as an earlier page too.
    if (choice === 'other') await this.put(other.document, this.known.version, true);
  }

  private load(): Promise<WrittenPageView> {
    return call(routes.writtenPage, { params: { materialId: this.materialId } });
  }

  private async put(document: PageDocument, version: number, over: boolean): Promise<void> {
    const saved = await call(routes.saveWrittenPage, {
      params: { materialId: this.materialId },
      body: { version, document, over },
    });
    this.known = { version: saved.version, document: saved.document };
    this.keepsBefore = false;
    this.onSaved();
  }
}

export class PageConflict extends Error {
  constructor(readonly other: WrittenPageView) {
    super('saved from another place meanwhile');
  }
}
