/** The browser's own way to take a colour from anywhere on the screen (EyeDropper API), where it has one: the cupboard, the workbox. */

interface EyeDropper {
  open(): Promise<{ sRGBHex: string }>;
}
declare global {
  interface Window {
    EyeDropper?: new () => EyeDropper;
  }
}

export const hasEyeDropper = (): boolean => typeof window !== 'undefined' && window.EyeDropper !== undefined;

/** `#rrggbb`; null if nothing was taken. */
export async function fromScreen(): Promise<string | null> {
  try {
    const { sRGBHex } = await new window.EyeDropper!().open();
    return /^#[0-9a-f]{6}$/i.test(sRGBHex) ? sRGBHex.toLowerCase() : null;
  } catch {
    // Escape was pressed.
    return null;
  }
}
