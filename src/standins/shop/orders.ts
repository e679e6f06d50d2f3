/** The orders a shop holds, a folder each: the ticket, the files as they came, and what it found. */
import { createHash, randomInt } from 'node:crypto';
import { mkdir, open, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Answer, OrderState, Stage } from '@/core/order/answers';
import type { Ticket } from '@/core/order/ticket';
import { fail, ok, type Result } from '@/core/result';
import { looked, type JobFile } from '@/standins/shop/checks';
import { readPdf } from '@/standins/shop/reading';

interface Kept {
  ticket: Ticket;
  /** Milliseconds since 1970. */
  began: number;
  accepted?: number;
  answer: Answer | null;
}

/** Without those that are taken for each other. */
const LETTERS = '23456789ABCDEFGHJKMNPQRSTUVWXYZ';
const number = (): string => Array.from({ length: 8 }, () => LETTERS[randomInt(LETTERS.length)]).join('');
export const isOrder = (name: string): boolean => /^PP-[2-9A-Z]{8}$/.test(name);

/** Orders are forgotten after this many days. */
const KEPT_DAYS = 30;
const DAY = 86_400_000;
const MOST_ORDERS = 500;
/** How long this shop takes from one stage to the next, ms. */
const PACE = 30_000;

export class Orders {
  constructor(
    readonly folder: string,
    /** Orders it holds, at the most. */
    readonly most = MOST_ORDERS,
  ) {}

  private at = (order: string, name = ''): string => join(this.folder, order, name);

  /** A ticket taken in; its number. What is long past is cleared away. */
  async begin(ticket: Ticket, now: number): Promise<string> {
    await this.forget(now);
    const order = `PP-${number()}`;
    await mkdir(this.at(order), { recursive: true });
    await this.keep(order, { ticket, began: now, answer: null });
    return order;
  }

  async kept(order: string): Promise<Kept | null> {
    if (!isOrder(order)) return null;
    try {
      return JSON.parse(await readFile(this.at(order, 'order.json'), 'utf8')) as Kept;
    } catch {
      return null;
    }
  }

  /** One file of an order, as its bytes arrive: kept whole or not at all, and held to what the ticket says of it. */
  async receive(order: string, name: string, bytes: AsyncIterable<Uint8Array>): Promise<Result<null>> {
    const kept = await this.kept(order);
    const file = kept?.ticket.files.find((each) => each.name === name);
    if (!file) return fail(`The ticket names no file “${name}”.`);
    const part = this.at(order, `${name}.part`);
    const hash = createHash('sha256');
    const handle = await open(part, 'w');
    let length = 0;
    try {
      for await (const chunk of bytes) {
        length += chunk.length;
        if (length > file.bytes) break;
        hash.update(chunk);
        await handle.write(chunk);
      }
    } catch {
      // What was cut off is too short.
    } finally {
      await handle.close();
    }
    const sha = hash.digest('hex');
    if (length !== file.bytes || sha !== file.sha256) {
      await rm(part, { force: true });
      return fail(
        length < file.bytes
          ? `“${name}” was cut off on its way: ${length} of ${file.bytes} bytes arrived. Send it again.`
          : `“${name}” is not the file the ticket tells of: its ${length > file.bytes ? 'length' : 'SHA-256'} differs.`,
      );
    }
    await rename(part, this.at(order, name));
    return ok(null);
  }

  /** All files looked at; what was accepted goes to the press. */
  async check(order: string, now: number): Promise<Result<Answer>> {
    const kept = await this.kept(order);
    if (!kept) return fail('There is no such order.');
    if (kept.accepted) return ok(kept.answer!);
    const files: JobFile[] = [];
    const unread: Answer = { accepted: false, reasons: [], notes: [] };
    for (const file of kept.ticket.files) {
      const bytes = await readFile(this.at(order, file.name)).catch(() => null);
      if (!bytes) return fail(`“${file.name}” has not arrived yet.`);
      const read = await readPdf(new Uint8Array(bytes));
      if (read.ok) files.push({ ticket: file, read: read.value });
      else unread.reasons.push({ code: 'file', file: file.name, says: read.message });
    }
    const answer = unread.reasons.length ? unread : looked(kept.ticket, files);
    await this.keep(order, { ...kept, answer, ...(answer.accepted ? { accepted: now } : {}) });
    return ok(answer);
  }

  async state(order: string, now: number): Promise<OrderState | null> {
    const kept = await this.kept(order);
    return kept && { order, answer: kept.answer, stage: stageAt(kept.accepted, now) };
  }

  /** Where a page of an order lies: its file, and which page of that; pages are counted from 1 through all files. */
  async pageAt(order: string, page: number): Promise<{ path: string; page: number } | null> {
    const kept = await this.kept(order);
    if (!kept?.answer) return null;
    let before = 0;
    for (const { name, pages } of kept.ticket.files) {
      if (page >= 1 && page <= before + pages) return { path: this.at(order, name), page: page - before };
      before += pages;
    }
    return null;
  }

  private async keep(order: string, kept: Kept): Promise<void> {
    // Written beside and put in its place, so that nobody reads half of it.
    const path = this.at(order, 'order.json');
    await writeFile(`${path}.new`, JSON.stringify(kept));
    await rename(`${path}.new`, path);
  }

  /** What is long past goes, and the oldest where there are too many. */
  private async forget(now: number): Promise<void> {
    const all = await Promise.all(
      (await readdir(this.folder).catch(() => [])).filter(isOrder).map(async (order) => {
        const { mtimeMs } = await stat(this.at(order)).catch(() => ({ mtimeMs: now }));
        return { order, at: mtimeMs };
      }),
    );
    const newest = all.sort((a, b) => b.at - a.at);
    const gone = newest.filter(({ at }, i) => i >= this.most || now - at > KEPT_DAYS * DAY);
    for (const { order } of gone) await rm(this.at(order), { recursive: true, force: true });
  }
}

/** How far an order is: what was accepted is printed after a while, and sent after another. */
export const stageAt = (accepted: number | undefined, now: number): Stage =>
  accepted === undefined
    ? 'received'
    : now - accepted < PACE
      ? 'checked'
      : now - accepted < 2 * PACE
        ? 'printed'
        : 'sent';
