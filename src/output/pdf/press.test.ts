/** PDF/X-4 (ISO 15930-7:2010): every key it asks for, read by qpdf; the file read by poppler and Ghostscript; our own reader of it. */
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { drawnPiece } from '../../../scripts/testing/lines';
import { difference } from '../../../scripts/testing/difference';
import { making } from '../../../scripts/testing/making';
import { inkPiece, laid, photoOf, quarters, wordsOf } from '../../../scripts/testing/samples';
import sharp from 'sharp';
import { openLcms } from '../../../scripts/node/platform';
import { adobeRgb } from '@/core/press/adobe-rgb';
import { FIRST_HOW, openPress } from '@/core/press/press';
import { CONDITIONS, conditionOf } from '@/core/press/conditions';
import type { Piece } from '@/core/piece/piece';
import { pressProfile } from '@/core/press/profile';
import { preflight } from '@/output/pdf/preflight';

const { folder, tool, register, made } = making();

const blended = (piece: Piece): Piece => ({ ...piece, finish: { ...piece.finish, blend: 'multiply' } });

/** A photo, words, a shadow that blends, a drawing in soft paint: everything that becomes something else in a PDF. */
function sampler() {
  const photo = register(quarters(90, 60), 90, 60);
  const art = register(quarters(30, 30, 'image/png'), 30, 30);
  return {
    ...laid(
      [
        inkPiece('ground', -9, -9, 450, 306),
        { ...photoOf('photo', photo, { x: 20, y: 20, width: 180, height: 120 }) },
        blended(inkPiece('faded', 180, 60, 90, 60)),
        wordsOf('words', 'Fly & see <kites>', 30),
        drawnPiece('drawn', art.sha),
      ],
      [photo, art],
    ),
    title: 'Kites & <wind>',
  };
}

test.each(CONDITIONS)(
  'for $name every point holds, as qpdf, poppler and Ghostscript read it',
  async (condition) => {
    const { id, data } = condition;
    const path = await made(
      sampler(),
      { format: 'pdf', withBleed: true, cropMarks: true, press: condition },
      `${id}.pdf`,
    );
    const points = await preflight(new Uint8Array(readFileSync(path)));
    expect(points).toHaveLength(13);
    expect(points.filter(({ fault }) => fault)).toEqual([]);
    tool('qpdf', '--check', path);
    const json = JSON.parse(tool('qpdf', '--json=2', path));
    const objects = json.qpdf[1] as Record<
      string,
      { value?: Record<string, unknown>; stream?: { dict: Record<string, unknown> } }
    >;
    const valueOf = (ref: unknown) =>
      objects[`obj:${ref as string}`]?.value ?? objects[`obj:${ref as string}`]?.stream?.dict;
    const { value: trailer } = objects.trailer as { value: Record<string, unknown> };
    expect(trailer).toMatchObject({ '/ID': [expect.any(String), expect.any(String)] });
    expect(trailer).not.toHaveProperty('/Encrypt');
    expect(valueOf(trailer['/Info'])).toMatchObject({ '/Trapped': '/False', '/Title': 'u:Kites & <wind>' });
    const [intent] = valueOf(trailer['/Root'])!['/OutputIntents'] as Record<string, unknown>[];
    expect(intent).toMatchObject({ '/S': '/GTS_PDFX', '/OutputConditionIdentifier': `u:${data}` });
    const profile = join(folder, `${id}.icc`);
    const [number] = String(intent!['/DestOutputProfile']).split(' ');
    writeFileSync(profile, execFileSync('qpdf', [`--show-object=${number}`, '--filtered-stream-data', path]));
    expect(pressProfile(new Uint8Array(readFileSync(profile)))).toMatchObject({ ok: true });
    expect(tool('pdfinfo', '-box', path)).toMatch(/PDF version:\s+1\.6/);
    expect(tool('pdfinfo', '-meta', path)).toContain(
      '<pdfxid:GTS_PDFXVersion>PDF/X-4</pdfxid:GTS_PDFXVersion>',
    );
    for (const line of tool('pdffonts', path).trim().split('\n').slice(2))
      expect(line).toMatch(/yes yes yes/);
    expect(
      tool('gs', '-q', '-dNOPAUSE', '-dBATCH', '-dPDFSTOPONERROR', '-sDEVICE=nullpage', path).trim(),
    ).toBe('');
  },
);

test.each([
  'Tea at “Orla’s” & "Tom’s" <1 > 0>',
  '  Kites  at  noon ',
  'Воздушные змеи',
  '凧 🪁',
  "'&quot;'",
  ')\\(',
])('the title %j stands twice alike, and a profile called so is named as it is', async (name) => {
  const named = { ...CONDITIONS[0]!, name, data: name };
  const path = await made(
    { ...laid([wordsOf('words', 'Fly')]), title: name },
    { format: 'pdf', press: named },
    'named.pdf',
  );
  const faults = (await preflight(new Uint8Array(readFileSync(path)))).filter(({ fault }) => fault);
  expect(faults).toEqual([]);
  tool('qpdf', '--check', path);
  const said = JSON.parse(tool('qpdf', '--json=2', path)).qpdf[1];
  const intent = Object.values(said as Record<string, { value?: { '/OutputIntents'?: object[] } }>).flatMap(
    ({ value }) => value?.['/OutputIntents'] ?? [],
  );
  expect(intent).toEqual([
    expect.objectContaining({ '/OutputConditionIdentifier': `u:${name}`, '/Info': `u:${name}` }),
  ]);
});

test('for a press it looks as it does for anybody', async () => {
  const plain = await made(sampler(), { format: 'png', ppi: 150 }, 'plain.png');
  const press = await made(sampler(), { format: 'pdf', press: conditionOf('coated') }, 'looks.pdf');
  // By Ghostscript: poppler shows what the output intent makes of colours, as a proof does.
  const looks = join(folder, 'looks.png');
  tool(
    'gs',
    '-q',
    '-dNOPAUSE',
    '-dBATCH',
    '-sDEVICE=png16m',
    '-r150',
    '-dTextAlphaBits=4',
    '-dGraphicsAlphaBits=4',
    `-sOutputFile=${looks}`,
    press,
  );
  const { mean } = await difference(plain, looks);
  expect(mean).toBeLessThan(1);
});

test('what is not made for a press, or was tampered with, is told point by point', async () => {
  const plain = new Uint8Array(readFileSync(await made(sampler(), { format: 'pdf' }, 'any.pdf')));
  const faults = (await preflight(plain)).filter(({ fault }) => fault).map(({ says }) => says);
  expect(faults).toEqual(
    expect.arrayContaining([
      'PDF 1.6 or earlier',
      'Says that it is PDF/X-4',
      'Has one output intent, with the profile of a press',
      'Every RGB colour says which RGB it is',
    ]),
  );
  expect(await preflight(new TextEncoder().encode('Dear diary'))).toEqual([
    { says: 'It is a PDF', fault: 'it cannot be read as one' },
  ]);
  const locked = join(folder, 'locked.pdf');
  const press = await made(sampler(), { format: 'pdf', press: conditionOf('coated') }, 'open.pdf');
  tool('qpdf', '--encrypt', '', 'owner', '256', '--', press, locked);
  expect((await preflight(new Uint8Array(readFileSync(locked)))).find(({ fault }) => fault)?.says).toMatch(
    /Not locked|PDF/,
  );
});

describe('all of it in the press’s inks', () => {
  const inked = { format: 'pdf' as const, press: conditionOf('coated'), inks: true };

  test('no colour is named in RGB any more, and it is the file it was in all else', async () => {
    const path = await made(sampler(), { ...inked, withBleed: true }, 'inked.pdf');
    const bytes = new Uint8Array(readFileSync(path));
    const points = await preflight(bytes, { inks: true });
    expect(points).toHaveLength(14);
    expect(points.filter(({ fault }) => fault)).toEqual([]);
    const plain = await made(sampler(), { ...inked, inks: false }, 'not-inked.pdf');
    expect(await preflight(new Uint8Array(readFileSync(plain)), { inks: true })).toContainEqual(
      expect.objectContaining({ says: expect.stringMatching(/inks/), fault: expect.stringMatching(/RGB/) }),
    );
    tool('qpdf', '--check', path);
    // poppler names the colours of each picture: all cmyk, masks grey.
    const spaces = tool('pdfimages', '-list', path)
      .split('\n')
      .slice(2)
      .filter(Boolean)
      .map((line) => line.trim().split(/\s+/));
    expect(spaces.length).toBeGreaterThan(2);
    expect(new Set(spaces.map(([, , , , , space]) => space))).toEqual(new Set(['cmyk', 'gray']));
    expect(
      tool('gs', '-q', '-dNOPAUSE', '-dBATCH', '-dPDFSTOPONERROR', '-sDEVICE=nullpage', path).trim(),
    ).toBe('');
  });

  test('each spot takes the inks Little CMS’s own tool says, as Ghostscript separates it; a photo by its own profile; dark words are black alone', async () => {
    const photo = register(quarters(90, 60), 90, 60);
    const wide = register(inAdobeRgb(quarters(90, 60)), 90, 60);
    const page = laid(
      [
        inkPiece('ground', 0, 0, 432, 288, { material: { kind: 'ink', colour: '#2f6f9f' } }),
        photoOf('photo', photo, { x: 20, y: 20, width: 90, height: 60 }),
        photoOf('wide', wide, { x: 120, y: 20, width: 90, height: 60 }),
        { ...wordsOf('words', 'I', 60), material: { kind: 'ink', colour: '#222222' } },
      ],
      [photo, wide],
    );
    const path = await made(page, inked, 'spots.pdf');
    const profile = join(process.cwd(), 'scripts', 'house', 'press', conditionOf('coated').file);
    const separated = join(folder, 'spots.tif');
    // The press's own profile on both sides: what is named in its inks stays as it is.
    tool(
      ...(['gs', '-q', '-dNOPAUSE', '-dBATCH', '-sDEVICE=tiff32nc', '-r72'] as const),
      ...[`-sDefaultCMYKProfile=${profile}`, `-sOutputICCProfile=${profile}`],
      ...[`-sOutputFile=${separated}`, path],
    );
    const raw = join(folder, 'spots.raw');
    tool('convert', separated, '-depth', '8', `cmyk:${raw}`);
    const data = readFileSync(raw);
    expect(data).toHaveLength(4 * 432 * 288);
    const inksAt = (x: number, y: number) => [...data.subarray(4 * (432 * y + x), 4 * (432 * y + x) + 4)];
    const asked = (hex: string, from = '*sRGB') =>
      execFileSync('transicc', ['-n', '-c0', '-t1', '-b', `-i${from}`, `-o${profile}`], {
        input: `${[1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16)).join(' ')}\n`,
        encoding: 'utf8',
      })
        .trim()
        .split(/\s+/)
        .map((percent) => 2.55 * Number(percent));
    const adobe = join(folder, 'adobe.icc');
    writeFileSync(adobe, adobeRgb());
    const near = (spot: readonly number[], inks: readonly number[], most: number) =>
      spot.forEach((ink, i) => expect(Math.abs(ink - inks[i]!)).toBeLessThan(most));
    near(inksAt(5, 5), asked('#2f6f9f'), 2);
    // JPEG, twice: a few steps off.
    near(inksAt(35, 35), asked('#c0392b'), 8);
    near(inksAt(95, 65), asked('#1e8449'), 8);
    near(inksAt(135, 35), asked('#c0392b', adobe), 8);
    expect(asked('#c0392b', adobe)).not.toEqual(asked('#c0392b'));
    const blacks = Array.from({ length: 432 * 288 }, (_, i) => data.subarray(4 * i, 4 * i + 4)).filter(
      ([c, m, y, k]) => !c && !m && !y && k === 255,
    );
    expect(blacks.length).toBeGreaterThan(200);
  });

  test('it looks as the press’s proof of the page does', async () => {
    const page = sampler();
    const plain = await made(page, { format: 'png', ppi: 100 }, 'proofed.png');
    const path = await made(page, inked, 'looks-inked.pdf');
    const profile = join(process.cwd(), 'scripts', 'house', 'press', conditionOf('coated').file);
    const looks = join(folder, 'looks-inked.png');
    tool(
      ...(['gs', '-q', '-dNOPAUSE', '-dBATCH', '-sDEVICE=png16m', '-r100'] as const),
      ...['-dTextAlphaBits=4', '-dGraphicsAlphaBits=4', `-sDefaultCMYKProfile=${profile}`],
      ...[`-sOutputFile=${looks}`, path],
    );
    const press = await openPress(new Uint8Array(readFileSync(profile)), openLcms);
    if (!press.ok) throw new Error(press.message);
    const { data, info } = await sharp(plain).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    const { pixels } = press.value.printed(new Uint8ClampedArray(data), FIRST_HOW);
    const proof = join(folder, 'proof.png');
    await sharp(Buffer.from(pixels), { raw: { width: info.width, height: info.height, channels: 4 } }).toFile(
      proof,
    );
    expect((await difference(proof, looks)).mean).toBeLessThan(2.5);
  });
});

/** A photo that says it is in Adobe RGB (1998), in one part of its header (ICC.1:2022, annex B.4). */
const inAdobeRgb = (jpeg: Buffer): Buffer => {
  const profile = Buffer.from(adobeRgb());
  const name = Buffer.from('ICC_PROFILE\0\x01\x01', 'latin1');
  const length = 2 + name.length + profile.length;
  const marker = Buffer.from([0xff, 0xe2, length >> 8, length & 255]);
  return Buffer.concat([jpeg.subarray(0, 2), marker, name, profile, jpeg.subarray(2)]);
};
