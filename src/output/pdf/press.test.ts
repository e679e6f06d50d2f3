/** PDF/X-4 (ISO 15930-7:2010): every key it asks for, read by qpdf; the file read by poppler and Ghostscript; our own reader of it. */
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { drawnPiece } from '../../../scripts/testing/lines';
import { difference } from '../../../scripts/testing/difference';
import { making } from '../../../scripts/testing/making';
import { inkPiece, laid, photoOf, quarters, wordsOf } from '../../../scripts/testing/samples';
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
