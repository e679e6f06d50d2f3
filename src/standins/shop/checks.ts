/** What a shop looks for in a job before it prints: a check a line. It knows the ticket and the files' bytes, nothing else. */
import type { Sides } from '@/core/geometry/sides';
import { MOST_FOUND, type Answer, type Found } from '@/core/order/answers';
import type { Ticket, TicketFile } from '@/core/order/ticket';
import { BLEED, CATALOGUE, GOOD_PPI, LEAST_PPI, PRINTED, TOLERANCE } from '@/standins/shop/catalogue';
import type { FileRead } from '@/standins/shop/reading';

export interface JobFile {
  ticket: TicketFile;
  read: FileRead;
}

/** Those that stop a job answer with what to say; a note is worth knowing. */
type Check = (ticket: Ticket, files: readonly JobFile[]) => { reasons?: Found[]; notes?: Found[] };

const length = (mm: number): string => `${Number(mm.toFixed(1))}`;
const size = ({ width, height }: { width: number; height: number }): string =>
  `${length(width)} x ${length(height)} mm`;
const off = (a: number, b: number): boolean => Math.abs(a - b) > TOLERANCE;

/** What it prints at all, and how many pages it can bind. */
const printed: Check = ({ product, condition }) => {
  const { says, longest, pages } = PRINTED[product.is];
  const reasons: Found[] = [];
  if (Math.max(product.width, product.height) > longest + TOLERANCE)
    reasons.push({ code: 'size', says: `${size(product)} is too large for our machines. ${says}.` });
  if (product.pages < pages.least || product.pages > pages.most)
    reasons.push({
      code: product.pages < pages.least ? 'few pages' : 'many pages',
      says: `It has ${product.pages} pages; we make ${says[0]!.toLowerCase()}${says.slice(1)}.`,
    });
  else if (product.pages % pages.step)
    reasons.push({ code: 'few pages', says: `${product.pages} pages: we need a multiple of ${pages.step}.` });
  if (!CATALOGUE.conditions.includes(condition))
    reasons.push({
      code: 'condition',
      says: `We print under ${CATALOGUE.conditions.join(', ')}, not under “${condition}”.`,
    });
  return { reasons };
};

/** The files the ticket's product needs, with as many pages as it says. */
const whole: Check = ({ product }, files) => {
  const reasons: Found[] = [];
  const cover = files.find(({ ticket }) => ticket.part === 'cover');
  if (PRINTED[product.is].cover && !cover)
    reasons.push({ code: 'cover', says: 'There is no cover: it comes in a file of its own, lying open.' });
  for (const { ticket, read } of files)
    if (read.pages.length !== ticket.pages)
      reasons.push({
        ...{ code: 'count', file: ticket.name },
        says: `The ticket says ${ticket.pages} pages; the file has ${read.pages.length}.`,
      });
  const inside = files.filter(({ ticket }) => ticket.part !== 'cover');
  const count = inside.reduce((sum, { read }) => sum + read.pages.length, 0);
  if (count !== product.pages)
    reasons.push({
      code: 'count',
      says: `${product.pages} pages are ordered, and the files hold ${count}.`,
    });
  return { reasons };
};

/** Every page as large as the ticket says; a cover as large as two pages and their spine at least. */
const trims: Check = ({ product }, files) => ({
  reasons: files.flatMap(({ ticket, read }) => {
    const file = ticket.name;
    const odd = read.pages.flatMap(({ trim }, i): Found[] =>
      off(trim.width, ticket.width) || off(trim.height, ticket.height)
        ? [
            {
              ...{ code: 'size', file, page: i + 1 },
              says: `The trimmed page measures ${size(trim)}; ${size(ticket)} are ordered.`,
            },
          ]
        : [],
    );
    const around = { width: 2 * product.width + (product.spine ?? 0), height: product.height };
    const small =
      ticket.part === 'cover' &&
      (ticket.width < around.width - TOLERANCE || ticket.height < around.height - TOLERANCE);
    return small
      ? [
          ...odd,
          {
            ...{ code: 'size', file },
            says: `The cover measures ${size(ticket)}; front, spine and back are ${size(around)} at least.`,
          },
        ]
      : odd;
  }),
});

/** A book's pages are not cut where they are bound: odd ones at their left, even ones at their right. */
const cutSides = ({ product }: Ticket, { part }: TicketFile, page: number): (keyof Sides)[] =>
  product.is !== 'book' || part !== 'pages'
    ? ['top', 'right', 'bottom', 'left']
    : ['top', 'bottom', page % 2 ? 'right' : 'left'];

const bleeds: Check = (order, files) => ({
  reasons: files.flatMap(({ ticket, read }) =>
    read.pages.flatMap(({ bleed }, i): Found[] => {
      const least = Math.min(...cutSides(order, ticket, i + 1).map((side) => bleed[side]));
      return least < BLEED - TOLERANCE
        ? [
            {
              ...{ code: 'bleed', file: ticket.name, page: i + 1 },
              says: `${least < 0.05 ? 'There is no bleed' : `The bleed is ${length(least)} mm`}; we need ${BLEED} mm at every edge that is cut, or a white sliver may show where we cut.`,
            },
          ]
        : [];
    }),
  ),
});

/** PDF/X-4, for the press that is ordered. */
const forPress: Check = ({ condition }, files) => ({
  reasons: files.flatMap(({ ticket, read }): Found[] => {
    const file = ticket.name;
    const faults = read.points.filter(({ fault }) => fault);
    if (read.condition === null)
      return [
        {
          ...{ code: 'press', file },
          says: 'It does not say for which press it was made: we need PDF/X-4 with its output intent.',
        },
      ];
    if (read.condition !== condition)
      return [
        {
          ...{ code: 'press', file },
          says: `It was made for ${read.condition}, and ${condition} is ordered.`,
        },
      ];
    return faults.map(({ says, fault }) => ({
      ...{ code: 'pdfx', file },
      says: `Not PDF/X-4: “${says}”: ${fault}.`,
    }));
  }),
});

const sharp: Check = (_, files) => {
  const coarse = files.flatMap(({ ticket, read }) =>
    read.pages.flatMap(({ photographs }, i) =>
      photographs
        .filter(({ ppi }) => ppi < GOOD_PPI)
        .map(({ ppi, at }) => ({
          ppi,
          found: {
            ...{ code: 'ppi', file: ticket.name, page: i + 1, at },
            says: `A photograph is printed at ${Math.round(ppi)} pixels per inch: ${ppi < LEAST_PPI ? `below ${LEAST_PPI} its pixels show` : `${GOOD_PPI} and more look sharp`}.`,
          },
        })),
    ),
  );
  return {
    reasons: coarse.filter(({ ppi }) => ppi < LEAST_PPI).map(({ found }) => found),
    notes: coarse.filter(({ ppi }) => ppi >= LEAST_PPI).map(({ found }) => found),
  };
};

const blank: Check = (_, files) => ({
  notes: files.flatMap(({ ticket, read }) =>
    read.pages.flatMap(({ blank }, i): Found[] =>
      blank
        ? [{ ...{ code: 'blank', file: ticket.name, page: i + 1 }, says: 'Nothing is on this page.' }]
        : [],
    ),
  ),
});

const CHECKS: readonly Check[] = [printed, whole, trims, bleeds, forPress, sharp, blank];

export function looked(ticket: Ticket, files: readonly JobFile[]): Answer {
  const all = CHECKS.map((check) => check(ticket, files));
  const reasons = all.flatMap((one) => one.reasons ?? []).slice(0, MOST_FOUND);
  return {
    accepted: reasons.length === 0,
    reasons,
    notes: all.flatMap((one) => one.notes ?? []).slice(0, MOST_FOUND),
  };
}
