/**
 * Shows a PDF on the page itself, since many phones would only offer to save it. It comes after the page is there, draws
 * the sheets that come into sight, and leaves the plain link where anything goes wrong.
 */
import workerAddress from 'pdfjs-dist/legacy/build/pdf.worker.min.mjs?url';
import { getDocument, GlobalWorkerOptions, type PDFDocumentProxy } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** Sharper is not seen on a phone and costs memory. */
const sharpest = 2;

async function show(place: HTMLElement, address: string): Promise<void> {
  GlobalWorkerOptions.workerSrc = workerAddress;
  const pdf = await getDocument({ url: address, isEvalSupported: false, enableXfa: false }).promise;
  const sheets = new Map<Element, number>();
  const observer = new IntersectionObserver(
    (entries) => {
      for (const { target, isIntersecting } of entries) {
        const number = sheets.get(target);
        if (!isIntersecting || number === undefined) continue;
        observer.unobserve(target);
        void draw(pdf, number, target as HTMLElement);
      }
    },
    { rootMargin: '600px' },
  );
  const first = (await pdf.getPage(1)).getViewport({ scale: 1 });
  for (let number = 1; number <= pdf.numPages; number += 1) {
    const sheet = document.createElement('div');
    sheet.className = 'sheet';
    sheet.style.aspectRatio = `${first.width} / ${first.height}`;
    sheets.set(sheet, number);
    place.append(sheet);
    observer.observe(sheet);
  }
  place.dataset.pages = String(pdf.numPages);
}

async function draw(pdf: PDFDocumentProxy, number: number, sheet: HTMLElement): Promise<void> {
  const words = place?.dataset.page ?? '';
  const page = await pdf.getPage(number);
  const plain = page.getViewport({ scale: 1 });
  const scale = (sheet.clientWidth / plain.width) * Math.min(sharpest, window.devicePixelRatio || 1);
  const viewport = page.getViewport({ scale });
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(viewport.width);
  canvas.height = Math.round(viewport.height);
  canvas.setAttribute('role', 'img');
  canvas.setAttribute('aria-label', words.replace('{page}', String(number)).replace('{pages}', String(pdf.numPages)));
  await page.render({ canvas, viewport }).promise;
  sheet.style.aspectRatio = `${plain.width} / ${plain.height}`;
  sheet.replaceChildren(canvas);
}

const place = document.querySelector<HTMLElement>('#pdf');
const address = place?.dataset.src;
if (place && address) void show(place, address).catch(() => place.remove());
