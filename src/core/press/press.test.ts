/** Proofs against Little CMS's own tool (Debian's liblcms2-utils) and the check values of the characterisation data. */
import fc from 'fast-check';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { converter, differenceCiede2000 } from 'culori';
import { adobeRgb } from '@/core/press/adobe-rgb';
import { CONDITIONS } from '@/core/press/conditions';
import { heavyPlaces } from '@/core/press/heavy';
import { lookedAt } from '@/core/press/look';
import { openPress, type Press, type ProofHow } from '@/core/press/press';
import { isWide, p3Profile } from '@/core/press/wide';
import { pressProfile } from '@/core/press/profile';
import { greyProfile, srgbProfile } from '@/core/press/rgb-profile';
import { random } from '@/core/random';
import { openLcms, PROFILES } from '../../../scripts/node/platform';

const profileOf = (file: string) => new Uint8Array(readFileSync(join(PROFILES, file)));
const opened = async (file: string): Promise<Press> => {
  const press = await openPress(profileOf(file), openLcms);
  if (!press.ok) throw new Error(press.message);
  return press.value;
};
const HOW: ProofHow = { intent: 'relative', blackPoint: true, paper: false };

/** What transicc says of colours, a row each; `-c0` without tables made ahead, `-n` numbers alone. */
const transicc = (args: string[], rows: readonly (readonly number[])[]): number[][] =>
  execFileSync('transicc', ['-n', '-c0', ...args], {
    input: rows.map((row) => row.join(' ')).join('\n') + '\n',
    encoding: 'utf8',
    stdio: ['pipe', 'pipe', 'ignore'],
  })
    .trim()
    .split('\n')
    .map((line) => line.trim().split(/\s+/).map(Number));

const chance = random(11);
const colours = Array.from({ length: 1000 }, () => [0, 0, 0].map(() => Math.floor(256 * chance())));
const rgba = new Uint8ClampedArray(colours.flatMap((colour) => [...colour, 255]));

test.each(CONDITIONS)('1,000 colours on $name: inks and proofs are those of transicc', async ({ file }) => {
  const press = await opened(file);
  const path = join(PROFILES, file);
  const lab = converter('lab');
  const delta = differenceCiede2000();
  const { inks } = press.printed(rgba, HOW);
  const theirs = transicc(['-t1', '-b', '-i*sRGB', `-o${path}`], colours);
  // As both would be measured on paper: numbers of ink may differ where it makes none.
  const measured = (rows: readonly (readonly number[])[]) =>
    transicc(['-t1', `-i${path}`, '-o*Lab'], rows).map(([l, a, b]) => ({
      mode: 'lab' as const,
      l: l!,
      a: a!,
      b: b!,
    }));
  const mine = measured(colours.map((_, i) => [0, 1, 2, 3].map((c) => inks[4 * i + c]! / 2.55)));
  const off = measured(theirs).map((one, i) => delta(one, mine[i]!));
  expect(Math.max(...off)).toBeLessThan(1);
  for (const [intent, t] of [
    ['relative', '-t1'],
    ['perceptual', '-t0'],
  ] as const) {
    const { pixels: ours } = press.printed(rgba, { ...HOW, intent });
    const proofs = transicc([t, '-m1', '-b', `-p${path}`, '-i*sRGB', '-o*sRGB'], colours);
    const differences = proofs.map(([r, g, b], i) =>
      delta(
        lab({ mode: 'rgb', r: r! / 255, g: g! / 255, b: b! / 255 }),
        lab({ mode: 'rgb', r: ours[4 * i]! / 255, g: ours[4 * i + 1]! / 255, b: ours[4 * i + 2]! / 255 }),
      ),
    );
    expect(Math.max(...differences)).toBeLessThan(1);
  }
  press.close();
});

test('paper white, the darkest black and what no press prints', async () => {
  const press = await opened('uncoated-offset.icc');
  const of = (...colour: number[]) => new Uint8ClampedArray([...colour, 255]);
  expect([...press.printed(of(255, 255, 255), HOW).pixels]).toEqual([255, 255, 255, 255]);
  const { pixels: paper } = press.printed(of(255, 255, 255), { ...HOW, paper: true });
  // FOGRA29's paper, CIELAB 95 0 -2 as ISO 12647-2:2004 has it for type 4 on a white backing: darker, a little blue.
  expect(paper[0]!).toBeLessThan(246);
  expect(paper[2]!).toBeGreaterThan(paper[0]!);
  expect(press.printed(of(0, 0, 0), { ...HOW, paper: true }).pixels[0]!).toBeGreaterThan(40);
  // A strong green of screens is far beyond; a soft grey is not.
  const [green, grey] = press.beyond(new Uint8ClampedArray([0, 255, 0, 255, 150, 146, 140, 255]));
  expect(green! / 10).toBeGreaterThan(10);
  expect(grey! / 10).toBeLessThan(2);
  // No more ink than the condition bears.
  const { inks } = press.printed(rgba, HOW);
  for (let i = 0; i < inks.length; i += 4)
    expect(inks[i]! + inks[i + 1]! + inks[i + 2]! + inks[i + 3]!).toBeLessThan(3.03 * 255);
  press.close();
});

test('what is beyond reach is counted, and striped where that is asked for', async () => {
  const press = await opened('coated-offset.icc');
  // A green of screens above, a soft grey below, 8 by 8 each.
  const page = new Uint8ClampedArray(8 * 16 * 4);
  for (let i = 0; i < 128; i++) page.set(i < 64 ? [0, 255, 0, 255] : [150, 146, 140, 255], 4 * i);
  const plain = lookedAt(press, page, 8, { ...HOW, marked: false });
  expect(plain.beyond).toBe(0.5);
  expect(plain.mostInk).toBeGreaterThan(100);
  expect(plain.mostInk).toBeLessThan(300);
  const marked = lookedAt(press, page, 8, { ...HOW, marked: true });
  expect(marked.pixels.slice(256)).toEqual(plain.pixels.slice(256));
  const greens = new Set(Array.from({ length: 64 }, (_, i) => marked.pixels.slice(4 * i, 4 * i + 3).join()));
  expect(greens.size).toBe(2);
  press.close();
});

test('more ink than a shop takes is found where it lies, and none where the paper bears it', async () => {
  // A page of 24 by 12, as dark as a photo gets on the right.
  const dark = [6, 4, 2];
  const page = new Uint8ClampedArray(
    Array.from({ length: 288 }, (_, i) => [...(i % 24 < 12 ? [230, 224, 210] : dark), 255]).flat(),
  );
  for (const { file, mostInk } of CONDITIONS) {
    const press = await opened(file);
    expect(heavyPlaces(press, page, 24, HOW, mostInk)).toEqual([]);
    const places = heavyPlaces(press, page, 24, HOW, 220);
    expect(places.map(({ x, y }) => [x, y])).toEqual([
      [0.625, 0.25],
      [0.875, 0.25],
      [0.625, 0.75],
      [0.875, 0.75],
    ]);
    const [theirs] = transicc(['-t1', '-b', '-i*sRGB', `-o${join(PROFILES, file)}`], [dark]);
    const sum = theirs!.reduce((all, ink) => all + ink, 0);
    for (const { ink } of places) expect(Math.abs(ink - sum)).toBeLessThan(2);
    press.close();
  }
});

// colord-data's Adobe RGB (1998) is Debian's.
test.each([
  ['sRGB', srgbProfile, '*sRGB'],
  ['Adobe RGB (1998)', adobeRgb, '/usr/share/color/icc/colord/AdobeRGB1998.icc'],
])('our %s profile is the published one: the same colours measured, all over the cube', (_, make, known) => {
  const path = join(mkdtempSync(join(tmpdir(), 'press-')), 'ours.icc');
  writeFileSync(path, make());
  const [ours, theirs] = [path, known].map((profile) => transicc(['-t1', `-i${profile}`, '-o*Lab'], colours));
  ours!.forEach((row, i) =>
    row.forEach((value, c) => expect(Math.abs(value - theirs![i]![c]!)).toBeLessThan(0.05)),
  );
});

test('grey is what sRGB calls grey: Little CMS measures the same lightness of both', () => {
  const path = join(mkdtempSync(join(tmpdir(), 'press-')), 'grey.icc');
  writeFileSync(path, greyProfile());
  const steps = [0, 12, 40, 90, 128, 200, 255];
  const measured = (profile: string, values: number[][]) =>
    transicc(['-t1', `-i${profile}`, '-o*Lab'], values).map(([lightness]) => lightness!);
  const grey = measured(
    path,
    steps.map((value) => [value]),
  );
  measured(
    '*sRGB',
    steps.map((value) => [value, value, value]),
  ).forEach((lightness, i) => expect(Math.abs(lightness - grey[i]!)).toBeLessThan(0.05));
});

test('what reaches beyond sRGB is told from what does not; colours given in Display P3 print as they are measured', async () => {
  const published = (name: string) =>
    new Uint8Array(readFileSync(join('/usr/share/color/icc/colord', `${name}.icc`)));
  expect(['AdobeRGB1998', 'ProPhotoRGB', 'WideGamutRGB'].map((name) => isWide(published(name)))).toEqual([
    ...[true, true, true],
  ]);
  expect([published('sRGB'), srgbProfile(), profileOf('coated-offset.icc')].some(isWide)).toBe(false);
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 400 }), fc.nat(400), (bytes, at) => {
      const bent = p3Profile();
      bent.set(bytes.subarray(0, Math.max(0, bent.length - at)), Math.min(at, bent.length));
      expect(typeof isWide(bent.subarray(0, bent.length - (at % 300)))).toBe('boolean');
    }),
  );
  const path = join(mkdtempSync(join(tmpdir(), 'press-')), 'p3.icc');
  writeFileSync(path, p3Profile());
  const press = await opened('coated-offset.icc');
  const theirs = transicc(['-t1', '-b', `-i${path}`, `-o${join(PROFILES, 'coated-offset.icc')}`], colours);
  const { inks } = press.printed(Uint8ClampedArray.from(colours.flatMap((c) => [...c, 255])), HOW, true);
  theirs.forEach((row, i) =>
    row.forEach((ink, c) => expect(Math.abs(inks[4 * i + c]! - 2.55 * ink)).toBeLessThan(4)),
  );
  // A strong green of P3 is farther from any ink than sRGB's.
  const green = new Uint8ClampedArray([0, 255, 0, 255]);
  expect(press.beyond(green, true)[0]!).toBeGreaterThan(press.beyond(green)[0]!);
  press.close();
});

test('what is no profile of a press is refused in words', async () => {
  const whole = profileOf('coated-offset.icc');
  const refused = async (bytes: Uint8Array) => {
    const press = await openPress(bytes, openLcms);
    return press.ok ? 'taken' : press.message;
  };
  expect(pressProfile(whole)).toMatchObject({ ok: true, value: { space: 'CMYK', device: 'prtr' } });
  for (const { file } of CONDITIONS) {
    const facts = pressProfile(profileOf(file));
    const said = execFileSync('exiftool', ['-s3', '-ProfileDescription', join(PROFILES, file)], {
      encoding: 'utf8',
    });
    expect(facts.ok && facts.value.name).toBe(said.trim());
  }
  expect(await refused(whole.subarray(0, 90))).toMatch(/not a colour profile/);
  expect(await refused(whole.subarray(0, whole.length - 1))).toMatch(/cut off/);
  expect(await refused(new Uint8Array(readFileSync('/usr/share/color/icc/colord/AdobeRGB1998.icc')))).toMatch(
    /screens or cameras/,
  );
  const hollow = whole.slice();
  hollow.fill(0, 128);
  expect(await refused(hollow)).toMatch(/damaged|lacks/);
});
