/** Where the parts of a face lie, once their sizes are known. */
import type { BandBox, CodeBox, FaceLayout, PictureBox, TapSign, TextBox } from './face-content.js';
import type { MmBox } from './box.js';
import { codeShape, gapOf, type Measured, type Sizing } from './measure-node.js';

/** What is on a face, before it is known what was left out. */
export type Placed = Omit<FaceLayout, 'cut' | 'leftOut'>;

type Filling = { -readonly [Key in keyof Placed]: Placed[Key] extends readonly (infer Each)[] ? Each[] : Placed[Key] };

/** Puts parts into `space` in the order in which they are read; from right to left, everything is mirrored. */
export class Placement {
  private readonly placed: Filling = { code: null, texts: [], pictures: [], tapSigns: [], bands: [] };
  private readonly isFromRight: boolean;

  constructor(
    private readonly space: MmBox,
    private readonly sizing: Sizing,
  ) {
    this.isFromRight = sizing.content.direction === 'rtl';
  }

  get result(): Placed {
    return this.placed;
  }

  /** @param box the space for the part: of its measured width, and at least of its measured height */
  put(part: Measured, box: MmBox): void {
    const { node } = part;
    switch (node.kind) {
      case 'text':
        if (part.text && part.text.lines.length > 0)
          this.putText(part, { ...node, align: this.alignOf(node.field) }, box);
        return;
      case 'number':
        return this.putNumber(part, box);
      case 'code':
        return this.putCode(part, box);
      case 'picture':
        this.placed.pictures.push({ which: node.which, ...this.mirrored(inMiddle(part, box)) } satisfies PictureBox);
        return;
      case 'tap-sign':
        this.placed.tapSigns.push(this.mirrored(inMiddle(part, box)) satisfies TapSign);
        return;
      case 'stack':
        return this.putStack(part, box);
      case 'row':
        return this.putRow(part, box);
    }
  }

  private putStack(part: Measured, { xMm, yMm, heightMm }: MmBox): void {
    const { node, parts, widthMm } = part;
    if (node.kind !== 'stack') return;
    const spareMm = Math.max(0, heightMm - part.heightMm);
    const between = node.spare === 'between' && parts.length > 1 ? spareMm / (parts.length - 1) : 0;
    const around = node.spare === 'around' || (node.spare === 'between' && parts.length === 1) ? spareMm / 2 : 0;
    let atMm = yMm + around;
    for (const each of parts) {
      this.put(each, { xMm, yMm: atMm, widthMm, heightMm: each.heightMm });
      atMm += each.heightMm + gapOf(node, this.sizing) + between;
    }
  }

  private putRow(part: Measured, { xMm, yMm, widthMm, heightMm }: MmBox): void {
    const { node, parts } = part;
    if (node.kind !== 'row') return;
    const gapMm = gapOf(node, this.sizing);
    const usedMm = parts.reduce((sum, each) => sum + each.widthMm, gapMm * (parts.length - 1));
    // Where nothing takes the width that is left, all is in the middle.
    let atMm = xMm + Math.max(0, widthMm - usedMm) / 2;
    for (const each of parts) {
      const highMm = node.across === 'full' ? heightMm : each.heightMm;
      const downMm = node.across === 'middle' ? (heightMm - each.heightMm) / 2 : 0;
      this.put(each, { xMm: atMm, yMm: yMm + downMm, widthMm: each.widthMm, heightMm: highMm });
      atMm += each.widthMm + gapMm;
    }
  }

  private putText(
    { text, heightMm }: Measured,
    { field, font, tone, align }: Pick<TextBox, 'field' | 'font' | 'tone' | 'align'>,
    { xMm, yMm, widthMm }: MmBox,
  ): void {
    const { lines, sizePt } = text ?? { lines: [], sizePt: 0 };
    this.placed.texts.push({
      ...{ field, font, sizePt, tone, align, lines },
      ...this.mirrored({ xMm, yMm, widthMm, heightMm }),
    });
  }

  /** The second language keeps its own direction. */
  private alignOf(field: TextBox['field']): TextBox['align'] {
    if (field === 'point-2' || field === 'tap-2') return 'start';
    return this.isFromRight ? 'right' : 'left';
  }

  private putNumber(part: Measured, box: MmBox): void {
    const { node, widthMm, heightMm } = part;
    if (node.kind !== 'number') return;
    const own = { ...box, widthMm, heightMm };
    const tone = node.form === 'solid' ? 'paper' : node.form === 'plain' ? 'ink' : 'accent';
    if (node.form !== 'plain') this.placed.bands.push({ ...this.mirrored(own), colour: node.form } satisfies BandBox);
    this.putText(part, { field: 'number', font: 'heading', tone, align: 'middle' }, own);
  }

  private putCode({ edges }: Measured, box: MmBox): void {
    const { bleedMm, codeMm } = this.sizing;
    const shape = codeShape(this.sizing);
    const [leftMm, rightMm, topMm, bottomMm] = [edges.left, edges.right, edges.top, edges.bottom].map((isAt) =>
      isAt ? bleedMm : 0,
    ) as [number, number, number, number];
    const room = {
      xMm: box.xMm - leftMm,
      yMm: box.yMm - topMm,
      widthMm: box.widthMm + leftMm + rightMm,
      heightMm: box.heightMm + topMm + bottomMm,
    };
    const outer = this.mirrored(inMiddle({ widthMm: codeMm * shape.across, heightMm: codeMm * shape.down }, room));
    this.placed.code = {
      xMm: outer.xMm + shape.left * codeMm,
      yMm: outer.yMm + shape.top * codeMm,
      sizeMm: codeMm,
    } satisfies CodeBox;
  }

  private mirrored(box: MmBox): MmBox {
    return this.isFromRight ? { ...box, xMm: 2 * this.space.xMm + this.space.widthMm - box.xMm - box.widthMm } : box;
  }
}

function inMiddle({ widthMm, heightMm }: Pick<Measured, 'widthMm' | 'heightMm'>, room: MmBox): MmBox {
  return {
    xMm: room.xMm + (room.widthMm - widthMm) / 2,
    yMm: room.yMm + (room.heightMm - heightMm) / 2,
    widthMm,
    heightMm,
  };
}
