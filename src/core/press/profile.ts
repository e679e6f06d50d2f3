/** What an ICC profile says of itself in its header (ICC.1:2022, 7.2), before anything is made of it. */
import { fail, ok, type Result } from '@/core/result';

export interface ProfileFacts {
  /** Four letters, as `CMYK` or `RGB `. */
  space: string;
  /** `prtr` for what puts ink on paper, `mntr` for screens, `scnr` for cameras and scanners. */
  device: string;
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
  if (bytes.length < HEADER || word(36) !== 'acsp') return fail('This file is not a colour profile.');
  const length = new DataView(bytes.buffer, bytes.byteOffset).getUint32(0);
  if (length > bytes.length) return fail('This colour profile is cut off: its end is missing.');
  const [space, device] = [word(16), word(12)];
  if (space !== 'CMYK')
    return fail(
      `This colour profile is for ${SPACES[space] ?? `“${space.trim()}”`}. A press prints with cyan, magenta, yellow and black: ask the print shop for its CMYK profile.`,
    );
  if (device !== 'prtr') return fail('This colour profile is not one of a press.');
  return ok({ space, device });
}
