/** Notes in picture files, written by exiftool (Debian’s libimage-exiftool-perl). */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { quarters } from '../../scripts/testing/samples';
import { fileNotes, timeIn } from '@/workers/fileNotes';

const folder = mkdtempSync(join(tmpdir(), 'notes-'));
const tagged = (...tags: string[]): Uint8Array => {
  const file = join(folder, `${tags.join('').length}-${Math.abs(tags.join('').charCodeAt(1))}.jpg`);
  writeFileSync(file, quarters(64, 48));
  execFileSync('exiftool', ['-q', '-overwrite_original', '-codedcharacterset=utf8', ...tags, file]);
  return readFileSync(file);
};

test('from IPTC-IIM', async () => {
  const bytes = tagged(
    '-IPTC:Caption-Abstract=Kites over the café',
    '-IPTC:Sub-location=North beach',
    '-IPTC:City=Saltmarsh Bay',
    '-IPTC:Country-PrimaryLocationName=Tideland',
  );
  expect((await fileNotes(bytes)).notes).toEqual({
    caption: 'Kites over the café',
    place: 'North beach, Saltmarsh Bay, Tideland',
  });
});

test('from XMP: words, people, faces, stars', async () => {
  const bytes = tagged(
    '-XMP-dc:Description=First launch',
    '-XMP-iptcExt:PersonInImage=Ines Marlow',
    '-XMP-iptcExt:PersonInImage=Olu Brandt',
    '-XMP-mwg-rs:RegionInfo={RegionList=[{Name=Olu Brandt,Type=Face,Area={X=0.5,Y=0.5,W=0.1,H=0.1,Unit=normalized}},{Name=Pip Tamsin,Type=Face,Area={X=0.2,Y=0.5,W=0.1,H=0.1,Unit=normalized}},{Name=Gull,Type=Pet,Area={X=0.2,Y=0.2,W=0.1,H=0.1,Unit=normalized}}]}',
    '-XMP-photoshop:City=Saltmarsh Bay',
    '-XMP-xmp:Rating=4',
  );
  expect((await fileNotes(bytes)).notes).toEqual({
    caption: 'First launch',
    people: ['Ines Marlow', 'Olu Brandt', 'Pip Tamsin'],
    place: 'Saltmarsh Bay',
    stars: 4,
  });
});

test('from Exif: when, where, which way up; XMP is believed before it', async () => {
  const tags = [
    '-EXIF:DateTimeOriginal=2026:05:16 11:05:41',
    '-EXIF:ImageDescription=From the dunes',
    '-EXIF:GPSLatitude=51.25',
    '-EXIF:GPSLatitudeRef=S',
    '-EXIF:GPSLongitude=3.5',
    '-EXIF:GPSLongitudeRef=W',
    '-EXIF:Orientation#=6',
    '-EXIF:Make=Brass & Bellows',
  ];
  const { notes, ...rest } = await fileNotes(tagged(...tags));
  expect(rest).toMatchObject({ taken: '2026-05-16T11:05:41', orientation: 6, camera: true });
  expect(notes?.caption).toBe('From the dunes');
  expect(notes?.position?.north).toBeCloseTo(-51.25, 5);
  expect(notes?.position?.east).toBeCloseTo(-3.5, 5);
  const both = await fileNotes(tagged(...tags, '-XMP-dc:Description=Believe me'));
  expect(both.notes?.caption).toBe('Believe me');
});

test('what a camera writes of itself is no caption; a clock that was never set is no time', async () => {
  const bytes = tagged(
    '-EXIF:ImageDescription=OLYMPUS DIGITAL CAMERA',
    '-EXIF:DateTimeOriginal=1970:01:01 00:00:00',
  );
  const { notes, taken } = await fileNotes(bytes);
  expect([notes, taken]).toEqual([undefined, undefined]);
  expect(timeIn('1965:07:02 12:00:00')).toBe('1965-07-02T12:00:00');
  expect(timeIn('2026-05-16T11:05:41+02:00')).toBe('2026-05-16T11:05:41');
  for (const lie of [
    '2026:02:30 10:00:00',
    '2026:05:16 25:00:00',
    '0000:00:00 00:00:00',
    'yesterday',
    undefined,
    7,
  ])
    expect(timeIn(lie)).toBeUndefined();
  expect(await fileNotes(new Uint8Array([1, 2, 3]))).toMatchObject({ orientation: 1, camera: false });
});
