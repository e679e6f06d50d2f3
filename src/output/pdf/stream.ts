/** Bytes as streams of a PDF: copied into the file at once, packed beside what else is done. */
import { joined, lengthOf } from '@/core/bytes/joined';
import { PDFRawStream, type PDFContext, type PDFDict, type PDFRef } from '@cantoo/pdf-lib';

const encoder = new TextEncoder();
const [BEFORE, AFTER] = [encoder.encode('\nstream\n'), encoder.encode('\nendstream')];

/** The bodies of streams that lie beside the file while it is written: where each belongs. */
export class Beside {
  private readonly bodies: { at: number; parts: readonly Uint8Array[] }[] = [];

  lies(at: number, parts: readonly Uint8Array[]): void {
    this.bodies.push({ at, parts });
  }

  /** The file in parts that follow each other, of which none was copied: its own bytes, and the bodies in their places. */
  partsOf(written: Uint8Array): Uint8Array[] {
    const parts: Uint8Array[] = [];
    let from = 0;
    for (const { at, parts: body } of this.bodies.sort((a, b) => a.at - b.at)) {
      parts.push(written.subarray(from, at), ...body);
      from = at + lengthOf(body);
    }
    return [...parts, written.subarray(from)];
  }
}

/** A body, copied at once: the library copies byte by byte. One that lies `beside` leaves its place free. */
export function streamOf(
  dict: PDFDict,
  body: Uint8Array | readonly Uint8Array[],
  beside?: Beside,
): PDFRawStream {
  const parts = body instanceof Uint8Array ? [body] : body;
  const length = lengthOf(parts);
  const stream = PDFRawStream.of(dict, beside ? EMPTY : joined(parts));
  stream.getContentsSize = () => length;
  stream.copyBytesInto = (buffer, offset) => {
    stream.updateDict();
    let at = offset + dict.copyBytesInto(buffer, offset);
    buffer.set(BEFORE, at);
    at += BEFORE.length;
    if (beside) beside.lies(at, parts);
    else buffer.set(stream.contents, at);
    at += length;
    buffer.set(AFTER, at);
    return at + AFTER.length - offset;
  };
  return stream;
}

const EMPTY = new Uint8Array(0);

/** Fewer bytes than this are no smaller for it. */
const WORTH_IT = 100;
/** Bytes that may wait to be packed while other things are drawn. */
const MOST_WAITING = 64e6;

/** Packs bytes by the platform's own deflate, beside what else is done: ten times as fast as one in JavaScript. */
export class Packer {
  /** Photos lie beside the file: they are most of it. */
  readonly beside = new Beside();
  private waiting: Promise<void>[] = [];
  private bytes = 0;

  constructor(readonly context: PDFContext) {}

  /** A stream of packed bytes: it is named at once, and lies in the file when all is `done`. What is short is not packed. */
  stream(of: Uint8Array | string, dict: Record<string, unknown> = {}): PDFRef {
    const bytes = typeof of === 'string' ? encoder.encode(of) : of;
    const ref = this.context.nextRef();
    if (bytes.length < WORTH_IT) this.context.assign(ref, streamOf(this.facts(dict), bytes));
    else {
      this.waiting.push(this.deflate(bytes, dict, ref));
      this.bytes += bytes.length;
    }
    return ref;
  }

  /** The same of what is large: it waits until there is room for it. */
  async pack(bytes: Uint8Array, dict: Record<string, unknown>): Promise<PDFRef> {
    const ref = this.stream(bytes, dict);
    if (this.bytes > MOST_WAITING) await this.done();
    return ref;
  }

  private facts(dict: Record<string, unknown>): PDFDict {
    return this.context.obj(dict as never) as unknown as PDFDict;
  }

  private async deflate(bytes: Uint8Array, dict: Record<string, unknown>, ref: PDFRef): Promise<void> {
    const { writable, readable } = new CompressionStream('deflate');
    const writer = writable.getWriter();
    // What goes wrong here is told where the other end is read.
    writer.write(bytes as Uint8Array<ArrayBuffer>).catch(() => {});
    writer.close().catch(() => {});
    const data = new Uint8Array(await new Response(readable).arrayBuffer());
    this.context.assign(ref, streamOf(this.facts({ ...dict, Filter: 'FlateDecode' }), data));
  }

  async done(): Promise<void> {
    await Promise.all(this.waiting);
    this.waiting = [];
    this.bytes = 0;
  }
}
