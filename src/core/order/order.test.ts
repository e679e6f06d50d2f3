/** Tickets, answers and what is kept of an order: what holds passes as it is, and whatever is wrong with one is no secret. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  answerSchema,
  catalogueSchema,
  MOST_FOUND,
  readAnswer,
  STAGES,
  stateSchema,
  type OrderState,
} from '@/core/order/answers';
import { readKept, type KeptOrder } from '@/core/order/kept';
import {
  FILE_PARTS,
  LARGEST_SENT,
  LONGEST_NAME,
  LONGEST_NOTE,
  MOST_COPIES_ORDERED,
  ORDERED,
  readTicket,
  type Ticket,
} from '@/core/order/ticket';

const hex = (length: number) =>
  fc
    .array(fc.constantFrom(...'0123456789abcdef'), { minLength: length, maxLength: length })
    .map((digits) => digits.join(''));
const text = (maxLength: number) => fc.string({ minLength: 1, maxLength });
const length = fc.double({ min: 0.1, max: 3000, noNaN: true });
const file = fc.record({
  name: fc
    .array(fc.constantFrom(...'abcXYZ019_-'), { minLength: 1, maxLength: 60 })
    .map((letters) => `${letters.join('')}.pdf`),
  part: fc.constantFrom(...FILE_PARTS),
  bytes: fc.integer({ min: 1, max: LARGEST_SENT }),
  sha256: hex(64),
  pages: fc.integer({ min: 1, max: 1000 }),
  width: length,
  height: length,
});
const ticket: fc.Arbitrary<Ticket> = fc.record(
  {
    ticket: fc.constant(1 as const),
    job: fc.uuid(),
    title: text(200),
    customer: text(LONGEST_NAME),
    note: fc.string({ maxLength: LONGEST_NOTE }),
    copies: fc.integer({ min: 1, max: MOST_COPIES_ORDERED }),
    product: fc.record(
      {
        is: fc.constantFrom(...ORDERED),
        width: length,
        height: length,
        pages: fc.integer({ min: 1, max: 1000 }),
        made: fc.string({ maxLength: 80 }),
        spine: fc.double({ min: 0, max: 200, noNaN: true }),
      },
      { requiredKeys: ['is', 'width', 'height', 'pages'] },
    ),
    condition: text(80),
    files: fc.uniqueArray(file, { minLength: 1, maxLength: 8, selector: ({ name }) => name }),
  },
  { requiredKeys: ['ticket', 'job', 'title', 'customer', 'copies', 'product', 'condition', 'files'] },
) as fc.Arbitrary<Ticket>;
const found = fc.record(
  {
    code: text(40),
    says: text(200),
    file: fc.string({ maxLength: 60 }),
    page: fc.integer({ min: 1, max: 400 }),
    at: fc.record({
      x: fc.float({ noNaN: true, noDefaultInfinity: true }),
      y: length,
      width: length,
      height: length,
    }),
  },
  { requiredKeys: ['code', 'says'] },
);
const state = fc.record({
  order: text(80),
  stage: fc.constantFrom(...STAGES),
  answer: fc.option(
    fc.record({
      accepted: fc.boolean(),
      reasons: fc.array(found, { maxLength: 5 }),
      notes: fc.array(found, { maxLength: 5 }),
    }),
  ),
}) as fc.Arbitrary<OrderState>;
const throughJson = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

/** Every place in a value, by the way to it. */
const places = (value: unknown, way: readonly string[] = []): (readonly string[])[] =>
  typeof value === 'object' && value !== null
    ? Object.entries(value).flatMap(([key, inner]) => [[...way, key], ...places(inner, [...way, key])])
    : [];
function spoiled<T>(
  value: T,
  way: readonly string[],
  by: (holder: Record<string, unknown>, key: string) => void,
) {
  const copy = throughJson(value) as Record<string, unknown>;
  const holder = way.slice(0, -1).reduce((now, key) => now[key] as Record<string, unknown>, copy);
  by(holder, way.at(-1)!);
  return copy;
}
/** No ticket, and no answer, holds one of these anywhere. */
const WRONG = fc.constantFrom<unknown>({}, [], true, -1e300, 'x'.repeat(5000), Number.NaN, null);

describe('a ticket', () => {
  test('passes as it was sent', () => {
    fc.assert(
      fc.property(ticket, (sent) => {
        expect(readTicket(throughJson(sent))).toEqual({ ok: true, value: throughJson(sent) });
      }),
    );
  });

  test('with anything wrong or wanting anywhere, or more than it may say, is refused in words', () => {
    fc.assert(
      fc.property(
        ticket,
        fc.nat(),
        WRONG,
        fc.constantFrom('wrong', 'more', 'less'),
        (sent, at, wrong, how) => {
          const ways = places(throughJson(sent));
          const way = ways[at % ways.length]!;
          const optional = ['note', 'made', 'spine'].includes(way.at(-1)!);
          // A list with one less, and a field that need not be there, are no fault.
          fc.pre(how !== 'less' || !(optional || /^\d+$/.test(way.at(-1)!)));
          const read = readTicket(
            spoiled(sent, way, (holder, key) => {
              if (how === 'wrong') holder[key] = wrong;
              else if (how === 'more') {
                const of = typeof holder[key] === 'object' ? (holder[key] as object) : holder;
                if (Array.isArray(of)) of.push(7);
                else Object.assign(of, { surplus: 1 });
              } else delete holder[key];
            }),
          );
          expect([way.join('.'), how, read.ok]).toEqual([way.join('.'), how, false]);
          if (!read.ok) expect(read.message.length).toBeGreaterThan(5);
        },
      ),
      { numRuns: 200 },
    );
  });

  test('names each file once, and none that leads elsewhere', () => {
    fc.assert(
      fc.property(ticket, file, (sent, other) => {
        const [first] = sent.files;
        const twice = { ...sent, files: [first!, { ...other, name: first!.name }] };
        expect(readTicket(twice)).toEqual({ ok: false, message: 'Two files have one name.' });
        for (const name of ['../a.pdf', 'a/b.pdf', 'a.pdf.exe', '.pdf', 'ä.pdf', ''])
          expect([name, readTicket({ ...sent, files: [{ ...first!, name }] }).ok]).toEqual([name, false]);
      }),
      { numRuns: 15 },
    );
  });
});

describe('an answer', () => {
  const read = (value: unknown, schema = stateSchema) => readAnswer<OrderState>(value, schema as never);

  test('passes as it came, checked or not yet', () => {
    fc.assert(
      fc.property(state, (came) => {
        expect(read(throughJson(came))).toEqual({ ok: true, value: throughJson(came) });
      }),
    );
  });

  test('that is none is told as the shop’s fault, whatever it is', () => {
    const says = { ok: false, message: 'The print shop answered with something that cannot be read.' };
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        expect(read(value)).toEqual(says);
        expect(readAnswer(value, catalogueSchema)).toEqual(says);
      }),
    );
    fc.assert(
      fc.property(state, fc.nat(), WRONG, (came, at, wrong) => {
        const ways = places(throughJson(came));
        const way = ways[at % ways.length]!;
        // Not checked yet is an answer; whether it was accepted may be either; a list may be empty; a place may lie anywhere.
        fc.pre(
          !(way.at(-1) === 'answer' && wrong === null) && !(way.at(-1) === 'accepted' && wrong === true),
        );
        fc.pre(!(Array.isArray(wrong) && ['reasons', 'notes'].includes(way.at(-1)!)));
        fc.pre(!(way.includes('at') && typeof wrong === 'number'));
        expect([
          way.join('.'),
          read(spoiled(came, way, (holder, key) => void (holder[key] = wrong))).ok,
        ]).toEqual([way.join('.'), false]);
      }),
      { numRuns: 200 },
    );
  });

  test('finds no more than so much in one order', () => {
    const many = (count: number) => ({
      accepted: false,
      reasons: Array.from({ length: count }, () => ({ code: 'soft', says: 'A photo is soft.' })),
      notes: [],
    });
    expect(readAnswer(many(MOST_FOUND), answerSchema).ok).toBe(true);
    expect(readAnswer(many(MOST_FOUND + 1), answerSchema).ok).toBe(false);
  });
});

test('what is kept of an order is read as it was kept; of anything else there is none', () => {
  fc.assert(
    fc.property(ticket, state, text(200), fc.integer({ min: 0, max: 1e15 }), (of, at, shop, sent) => {
      const kept: KeptOrder = { shop, sent, ticket: of, state: at };
      expect(readKept(JSON.stringify(kept))).toEqual(throughJson(kept));
      expect(readKept(JSON.stringify({ ...kept, surplus: 1 }))).toBeNull();
      expect(readKept(JSON.stringify(kept).slice(0, -1))).toBeNull();
    }),
    { numRuns: 30 },
  );
  fc.assert(fc.property(fc.string(), (json) => expect(readKept(json)).toBeNull()));
});
