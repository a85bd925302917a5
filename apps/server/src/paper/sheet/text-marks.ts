/**
 * The marks around the stretches of a text, by which its structure element finds them. What is drawn as it is read has one mark, over all
 * its lines; what is drawn otherwise has one of its own that tells what it says.
 */
export class TextMarks {
  private open: PDFKit.PDFStructureContent | null = null;
  private isPlainOpen = false;

  constructor(
    private readonly document: PDFKit.PDFDocument,
    private readonly role: string,
    private readonly element: PDFKit.PDFStructureElement,
  ) {}

  /** The next run begins. @param actual what it says where it is drawn otherwise */
  begin(actual: string | null): void {
    if (actual === null && this.isPlainOpen) return;
    this.end();
    this.open =
      actual === null
        ? this.document.markStructureContent(this.role)
        : this.document.markStructureContent('Span', { actual });
    this.isPlainOpen = actual === null;
  }

  /** The text ends. */
  end(): void {
    if (this.open === null) return;
    this.document.endMarkedContent();
    this.element.add(this.open);
    this.open = null;
    this.isPlainOpen = false;
  }
}
