/** Fonts in a PDF: embedded with the glyphs in use, written by glyph number, with a map back to characters (ISO 32000-1, 9.7 and 9.10.3). */
import { PDFDict, PDFHexString, PDFName, PDFNumber, type PDFRef } from '@cantoo/pdf-lib';
import type { GlyphRun } from '@/core/text/typesetter';
import { tablesOf } from '@/core/text/sfnt';
import type { OpenFont } from '@/core/text/shaper';
import type { Packer } from '@/output/pdf/stream';
import type { Subset } from '@/output/pdf/subset';

const hex4 = (value: number): string => value.toString(16).padStart(4, '0');

const MOST_CODES = 0xffff;

const isCff = (bytes: Uint8Array): boolean => String.fromCharCode(...bytes.subarray(0, 4)) === 'OTTO';

/** One font used in the document; gathers what it must state while text is written. */
export class EmbeddedFont {
  readonly ref: PDFRef;
  /** By the code they are written with: the glyph, and the characters it stands for. */
  private readonly codes = new Map<number, { glyph: number; text: string }>();
  private readonly known = new Map<string, number>();
  private readonly isCff: boolean;
  /** The first code that is no glyph's number. */
  private spare: number;

  constructor(
    private readonly packer: Packer,
    private readonly font: OpenFont,
    readonly name: string,
  ) {
    this.ref = packer.context.nextRef();
    this.isCff = isCff(font.bytes);
    this.spare = new DataView(font.bytes.buffer, font.bytes.byteOffset).getUint16(
      tablesOf(font.bytes).get('maxp')!.offset + 4,
    );
  }

  /**
   * The code of a glyph that stands for these characters: its own number, or, where the same glyph stands for others
   * elsewhere (Arabic letters that share a body), one beyond all glyphs. CFF fonts have but the one.
   */
  private code({ id, text }: { id: number; text: string }): number {
    const key = `${id} ${text}`;
    let code = this.known.get(key);
    if (code === undefined) {
      code = !this.codes.has(id) || this.isCff || this.spare > MOST_CODES ? id : this.spare++;
      this.known.set(key, code);
      if (!this.codes.has(code)) this.codes.set(code, { glyph: id, text });
    }
    return code;
  }

  /** The operators that show a run, in a frame whose y points down. */
  show(run: GlyphRun, invisible: boolean): string {
    const unit = run.size / this.font.unitsPerEm;
    const lines = [`BT /${this.name} ${run.size} Tf ${invisible ? 3 : 0} Tr`];
    let pieces: string[] = [];
    let pen = { x: NaN, y: NaN };
    const flush = () => {
      if (pieces.length) lines.push(`[${pieces.join('')}] TJ`);
      pieces = [];
    };
    for (const glyph of run.glyphs) {
      const code = hex4(this.code(glyph));
      const shift = glyph.x - pen.x;
      if (glyph.turn) {
        flush();
        const [cos, sin] = [Math.cos((glyph.turn * Math.PI) / 180), Math.sin((glyph.turn * Math.PI) / 180)];
        lines.push(
          `${[cos, sin, sin, -cos, glyph.x, glyph.y].map((value) => value.toFixed(5)).join(' ')} Tm <${code}> Tj`,
        );
        pen = { x: NaN, y: NaN };
        continue;
      }
      if (glyph.y !== pen.y || Number.isNaN(shift)) {
        flush();
        lines.push(`1 0 0 -1 ${glyph.x.toFixed(4)} ${glyph.y.toFixed(4)} Tm`);
      } else if (Math.abs(shift) > 1e-4) pieces.push(((-shift / run.size) * 1000).toFixed(2));
      pieces.push(`<${code}>`);
      pen = { x: glyph.x + this.font.advanceOf(glyph.id) * unit, y: glyph.y };
    }
    flush();
    return [...lines, 'ET'].join('\n');
  }

  /** Writes the font's objects, with the glyphs that were used alone if it may be cut down; called once, after all text. */
  finish(subset: Subset | null): void {
    const { packer, font } = this;
    const { context } = packer;
    const cut = font.embedding === 'subset' ? subset?.(font.bytes, this.glyphs()) : null;
    const bytes = cut ?? font.bytes;
    // A font that is cut down is named so (ISO 32000-1, 9.6.4).
    const name = `${cut ? 'BELLAG+' : ''}${font.name.replace(/[^A-Za-z0-9]/g, '')}`;
    const per1000 = (units: number) => Math.round((units * 1000 * 100) / font.unitsPerEm) / 100;
    const file = packer.stream(bytes, this.isCff ? { Subtype: 'OpenType' } : { Length1: bytes.length });
    const head = new DataView(bytes.buffer, bytes.byteOffset + tablesOf(bytes).get('head')!.offset);
    const descriptor = context.register(
      context.obj({
        Type: 'FontDescriptor',
        FontName: name,
        Flags: 4,
        FontBBox: [36, 38, 40, 42].map((at) => per1000(head.getInt16(at))),
        ItalicAngle: 0,
        Ascent: per1000(font.ascent),
        Descent: -per1000(font.descent),
        CapHeight: per1000(font.ascent),
        StemV: 80,
        [this.isCff ? 'FontFile3' : 'FontFile2']: file,
      }),
    );
    const descendant = context.obj({
      Type: 'Font',
      Subtype: this.isCff ? 'CIDFontType0' : 'CIDFontType2',
      BaseFont: name,
      FontDescriptor: descriptor,
      DW: 0,
      W: [...this.codes]
        .sort(([a], [b]) => a - b)
        .flatMap(([code, { glyph }]) => [PDFNumber.of(code), context.obj([per1000(font.advanceOf(glyph))])]),
    }) as PDFDict;
    descendant.set(
      PDFName.of('CIDSystemInfo'),
      context.obj({
        Registry: PDFHexString.of('41646F6265'),
        Ordering: PDFHexString.of('4964656E74697479'),
        Supplement: 0,
      }),
    );
    if (!this.isCff) descendant.set(PDFName.of('CIDToGIDMap'), this.toGlyphs());
    context.assign(
      this.ref,
      context.obj({
        Type: 'Font',
        Subtype: 'Type0',
        BaseFont: name,
        Encoding: 'Identity-H',
        DescendantFonts: [context.register(descendant)],
        ToUnicode: packer.stream(this.toUnicode()),
      }),
    );
  }

  private *glyphs(): Iterable<number> {
    for (const { glyph } of this.codes.values()) yield glyph;
  }

  /** From codes to glyphs (ISO 32000-1, 9.7.4.3): the same, or two bytes for each code up to the last. */
  private toGlyphs(): PDFName | PDFRef {
    const last = Math.max(0, ...this.codes.keys());
    if ([...this.codes].every(([code, { glyph }]) => code === glyph)) return PDFName.of('Identity');
    const map = new DataView(new ArrayBuffer(2 * (last + 1)));
    for (const [code, { glyph }] of this.codes) map.setUint16(2 * code, glyph);
    return this.packer.stream(new Uint8Array(map.buffer));
  }

  private toUnicode(): string {
    const entries = [...this.codes]
      .filter(([, { text }]) => text)
      .map(
        ([code, { text }]) =>
          `<${hex4(code)}> <${Array.from({ length: text.length }, (_, i) => hex4(text.charCodeAt(i))).join('')}>`,
      );
    // A block holds at most 100 entries (Adobe Technical Note 5014).
    const blocks = Array.from({ length: Math.ceil(entries.length / 100) }, (_, i) =>
      entries.slice(i * 100, i * 100 + 100),
    );
    return [
      '/CIDInit /ProcSet findresource begin 12 dict begin begincmap',
      '/CIDSystemInfo << /Registry (Adobe) /Ordering (UCS) /Supplement 0 >> def',
      '/CMapName /Adobe-Identity-UCS def /CMapType 2 def',
      '1 begincodespacerange <0000> <ffff> endcodespacerange',
      ...blocks.map((block) => `${block.length} beginbfchar\n${block.join('\n')}\nendbfchar`),
      'endcmap CMapName currentdict /CMap defineresource pop end end',
    ].join('\n');
  }
}
