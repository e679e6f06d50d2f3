/** RGB that reaches farther than sRGB's, as cameras and phones write it: how it is told, and the space it is proofed in. */
import { rgbProfile, SRGB_PRIMARIES, SRGB_CURVE } from '@/core/press/rgb-profile';

/** Display P3: SMPTE RP 431-2's primaries with the white D65, under D50 by Bradford (from memory; they add up to D50). */
const P3 = {
  rXYZ: [0.515121, 0.241196, -0.001053],
  gXYZ: [0.291977, 0.692245, 0.041885],
  bXYZ: [0.157104, 0.066574, 0.784073],
} as const;

export const p3Profile = (): Uint8Array =>
  rgbProfile({ name: 'Display P3', primaries: P3, curve: SRGB_CURVE });

/** Farther from sRGB's than profiles round, as shares of XYZ. */
const ELSEWHERE = 0.01;

/** Whether an ICC profile for RGB has other primaries than sRGB (ICC.1:2022, 9.2.43 and 10.31); false where it tells none. */
export function isWide(profile: Uint8Array): boolean {
  const view = new DataView(profile.buffer, profile.byteOffset, profile.byteLength);
  const word = (at: number) => String.fromCharCode(...profile.subarray(at, at + 4));
  if (profile.length < 132 || word(16) !== 'RGB ') return false;
  for (let i = 0; i < Math.min(view.getUint32(128), 100); i++) {
    const entry = 132 + 12 * i;
    if (entry + 12 > profile.length) return false;
    const name = word(entry);
    if (!Object.hasOwn(SRGB_PRIMARIES, name)) continue;
    const at = view.getUint32(entry + 4);
    if (at + 20 > profile.length) return false;
    const values = [8, 12, 16].map((offset) => view.getInt32(at + offset) / 65_536);
    const own = SRGB_PRIMARIES[name as keyof typeof SRGB_PRIMARIES];
    if (values.some((value, c) => Math.abs(value - own[c]!) > ELSEWHERE)) return true;
  }
  return false;
}
