/** Kits' zips, good and bad, made with zip.js and by hand. */
import { BlobReader, BlobWriter, TextReader, ZipWriter } from '@zip.js/zip.js';
import { zipSync } from 'fflate';
import { writeKit, writeMarks } from '@/core/supplies/kit-file';
import { KitZip, type ListedZip } from '@/workers/zip';
import { quarters } from '../../scripts/testing/samples';

const PNG = new Blob([quarters(30, 20, 'image/png') as Uint8Array<ArrayBuffer>]);

async function zip(
  fill: (add: (name: string, text?: string, options?: object) => Promise<unknown>) => Promise<unknown>,
): Promise<Blob> {
  const writer = new ZipWriter(new BlobWriter('application/zip'));
  await fill((name, text, options) =>
    writer.add(name, text === undefined ? new BlobReader(PNG) : new TextReader(text), options),
  );
  return writer.close();
}
const listed = async (file: Blob): Promise<ListedZip> => {
  const opened = await KitZip.open(file);
  if (!opened.ok) throw new Error(opened.message);
  return opened.value.listed;
};
const about = (name: string, files: string[]) =>
  writeKit({
    kit: { name, description: '', author: '', licence: '', tags: [] },
    supplies: files.map((file) => ({ file, kind: 'paper', name: file, tags: [] })),
  });

describe('a kit’s zip', () => {
  test('loose pictures are listed; litter is passed over in silence, the rest by reason', async () => {
    const { kits, skipped } = await listed(
      await zip(async (add) => {
        await add('a/one.png');
        await add('__MACOSX/a/._one.png', 'x');
        await add('.DS_Store', 'x');
        await add('film.mp4', 'x');
        await add('notes.txt', 'x');
        await add('inner.zip', 'x');
        await add('locked.png', undefined, { password: 'secret' });
      }),
    );
    expect(kits).toEqual([{ at: '', paths: ['a/one.png'] }]);
    expect(skipped.join('\n')).toMatch(/2 files were passed over: not pictures/);
    expect(skipped.join('\n')).toMatch(/inner.zip was passed over: a zip inside the zip/);
    expect(skipped.join('\n')).toMatch(/locked.png was passed over: locked with a password/);
  });
  test('names in UTF-8 are read so though the zip does not say it, with accents apart or not; others as code page 437', async () => {
    // As systems pack a kit again: é apart, and no mark of UTF-8 (bit 11 of the flags); fflate marks what needs it.
    const names = ['Fe\u0302te/kit.json', 'Fe\u0302te/papers/E\u0301te\u0301.png', 'Fe\u0302te/凧.png'];
    const bytes = zipSync({
      [names[0]!]: new TextEncoder().encode(about('Fête', ['papers/\u00c9t\u00e9.png', '凧.png'])),
      [names[1]!]: new Uint8Array(3),
      [names[2]!]: new Uint8Array(3),
    });
    const view = new DataView(bytes.buffer);
    for (let at = 0; at + 4 < bytes.length; at++) {
      const flags = { 0x04034b50: 6, 0x02014b50: 8 }[view.getUint32(at, true)];
      if (flags) view.setUint16(at + flags, view.getUint16(at + flags, true) & ~0x800, true);
    }
    const { kits, skipped } = await listed(new Blob([bytes as Uint8Array<ArrayBuffer>]));
    expect(skipped).toEqual([]);
    expect(kits).toMatchObject([
      {
        at: 'F\u00eate/',
        paths: ['F\u00eate/papers/\u00c9t\u00e9.png', 'F\u00eate/凧.png'],
        kit: { kit: { name: 'Fête' } },
      },
    ]);
    const opened = await KitZip.open(new Blob([bytes as Uint8Array<ArrayBuffer>]));
    if (!opened.ok) throw new Error(opened.message);
    expect(await opened.value.bytes(kits[0]!.paths[0]!)).toHaveLength(3);
    // é as code page 437 has it is no UTF-8.
    const old = zipSync({ 'cafX.png': new Uint8Array(3) });
    for (let at = 0; at < old.length; at++) if (old[at] === 0x58) old[at] = 0x82;
    expect((await listed(new Blob([old as Uint8Array<ArrayBuffer>]))).kits).toEqual([
      { at: '', paths: ['caf\u00e9.png'] },
    ]);
  });
  test('names that point outside of the zip are never used', async () => {
    const names = ['../evil.png', '/b.png', 'c:/x.png', 'a/../../b.png', 'good.png'];
    const bytes = zipSync(Object.fromEntries(names.map((name) => [name, new Uint8Array(3)])));
    const { kits, skipped } = await listed(new Blob([bytes as Uint8Array<ArrayBuffer>]));
    expect(kits).toEqual([{ at: '', paths: ['good.png'] }]);
    expect(skipped.join()).toMatch(/4 files were passed over: names that point outside/);
  });
  test('kit.json is believed at the top or one folder down; several kits lie side by side, with what belongs to none', async () => {
    const { kits, marks } = await listed(
      await zip(async (add) => {
        await add('1 Sea/kit.json', about('Sea', ['papers/a.png']));
        await add('1 Sea/papers/a.png');
        await add('2 Land/kit.json', about('Land', ['b.png']));
        await add('2 Land/b.png');
        await add('stray.png');
        await add('cupboard.json', writeMarks([{ id: 'house 1', favourite: true, tags: ['sea'] }]));
      }),
    );
    expect(kits.map(({ at, kit, paths }) => [at, kit?.kit.name, paths])).toEqual([
      ['2 Land/', 'Land', ['2 Land/b.png']],
      ['1 Sea/', 'Sea', ['1 Sea/papers/a.png']],
      ['', undefined, ['stray.png']],
    ]);
    expect(marks).toEqual([{ id: 'house 1', favourite: true, tags: ['sea'] }]);
  });
  test('a kit.json that lies is told of: what it names and is not there, or all of it', async () => {
    const lying = await listed(
      await zip(async (add) => {
        await add('kit.json', about('Sea', ['a.png', 'gone.png']));
        await add('a.png');
      }),
    );
    expect(lying.skipped).toEqual(['kit.json names “gone.png”, which is not in the zip.']);
    const broken = await listed(
      await zip(async (add) => {
        await add('kit.json', '{"format":"bellagraph-kit","version":1}');
        await add('a.png');
      }),
    );
    expect(broken.kits).toEqual([{ at: '', paths: ['a.png'] }]);
    expect(broken.skipped.join()).toMatch(/kit.json was not used: its kit.json is damaged/);
  });
  test('10,000 entries are counted, not swallowed; what is no zip is refused', async () => {
    const many = Object.fromEntries(
      Array.from({ length: 10_000 }, (_, i) => [`${i}.png`, new Uint8Array(1)]),
    );
    const { kits, skipped } = await listed(
      new Blob([zipSync(many, { level: 0 }) as Uint8Array<ArrayBuffer>]),
    );
    expect(kits[0]!.paths).toHaveLength(5000);
    expect(skipped.join()).toMatch(/5000 files were passed over: beyond the 5000 a kit may hold/);
    expect((await KitZip.open(new Blob(['not a zip at all']))).ok).toBe(false);
    expect((await KitZip.open(new Blob([]))).ok).toBe(false);
  }, 30_000);
  test('a picture without an ending is a picture by what is in it; a note without one is passed over', async () => {
    const { kits, skipped } = await listed(
      await zip(async (add) => {
        await add('folder/kite');
        await add('folder/README', 'nothing to see');
      }),
    );
    expect(kits[0]!.paths).toEqual(['folder/kite']);
    expect(skipped.join()).toMatch(/README was passed over: not pictures/);
  });
  test('bytes come out as they went in', async () => {
    const opened = await KitZip.open(await zip((add) => add('a.png')));
    if (!opened.ok) throw new Error(opened.message);
    expect(Buffer.from(await opened.value.bytes('a.png')).equals(Buffer.from(await PNG.arrayBuffer()))).toBe(
      true,
    );
  });
  test('an entry of which one bit flipped does not come out as another picture', async () => {
    const bytes = new Uint8Array(
      await (await zip((add) => add('a.png', undefined, { level: 0 }))).arrayBuffer(),
    );
    const picture = Buffer.from(await PNG.arrayBuffer());
    const begins = Buffer.from(bytes).indexOf(picture);
    for (let at = 0; at < picture.length; at += 7) {
      const spoilt = bytes.slice();
      spoilt[begins + at]! ^= 1 << (at % 8);
      const opened = await KitZip.open(new Blob([spoilt]));
      if (opened.ok) await expect(opened.value.bytes('a.png')).rejects.toThrow();
    }
  });
});
