/** What an ICC profile says of itself in its header (ICC.1:2022, 7.2), before anything is made of it. */
import { LONGEST_PROFILE } from '@/core/press/conditions';
import { fail, ok, type Result } from '@/core/result';
import { asName } from '@/core/text/named';

export interface ProfileFacts {
  /** Four letters, as `CMYK` or `RGB `. */
  space: string;
  /** `prtr` for what puts ink on paper, `mntr` for screens, `scnr` for cameras and scanners. */
  device: string;
  /** What it calls itself. */
  name: string;
}

/** Larger ones are no profiles of a press, bytes. */
export const LARGEST_PROFILE = 16 * 2 ** 20;
const HEADER = 128;

const SPACES: Record<string, string> = {
  'RGB ': 'screens or cameras (RGB)',
  GRAY: 'greys alone',
  'Lab ': 'no device',
};

/** The facts of a profile that a press can be proofed with; says why one cannot. */
export function pressProfile(bytes: Uint8Array): Result<ProfileFacts> {
  if (bytes.length > LARGEST_PROFILE) return fail('This file is too large to be a colour profile.');
  const word = (at: number) => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (bytes.length < HEADER + 4 || word(36) !== 'acsp') return fail('This file is not a colour profile.');
  const length = new DataView(bytes.buffer, bytes.byteOffset).getUint32(0);
  if (length > bytes.length) return fail('This colour profile is cut off: its end is missing.');
  const [space, device] = [word(16), word(12)];
  if (space !== 'CMYK')
    return fail(
      `This colour profile is for ${SPACES[space] ?? `“${space.trim()}”`}. A press prints with cyan, magenta, yellow and black: ask the print shop for its CMYK profile.`,
    );
  if (device !== 'prtr') return fail('This colour profile is not one of a press.');
  return ok({ space, device, name: nameOf(bytes) || 'A colour profile' });
}

/** The text of its tag 'desc' (ICC.1:2022, 9.2.41, 10.15; textDescriptionType of version 2); empty where there is none. */
function nameOf(bytes: Uint8Array): string {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const word = (at: number) => String.fromCharCode(...bytes.subarray(at, at + 4));
  const tags = Math.min(view.getUint32(HEADER), 200);
  for (let i = 0; i < tags; i++) {
    const entry = HEADER + 4 + 12 * i;
    if (entry + 12 > bytes.length || word(entry) !== 'desc') continue;
    const at = view.getUint32(entry + 4);
    if (at + 28 > bytes.length) return '';
    const text = (from: number, length: number, wide: boolean) =>
      new TextDecoder(wide ? 'utf-16be' : 'latin1').decode(
        bytes.subarray(from, from + Math.min(length, 1000)),
      );
    const said =
      word(at) === 'mluc'
        ? text(at + view.getUint32(at + 24), view.getUint32(at + 20), true)
        : text(at + 12, view.getUint32(at + 8), false);
    return asName(said.replace(/[\u0000-\u001f\ufffd]+/g, ' '), LONGEST_PROFILE);
  }
  return '';
}

/** Tells profiles apart by their bytes: the photos of one camera have one (FNV-1a, public domain). */
export const profileKey = (profile: Uint8Array): string =>
  `${profile.length} ${profile.reduce((sum, byte) => Math.imul(sum ^ byte, 0x01000193) >>> 0, 0x811c9dc5)}`;
