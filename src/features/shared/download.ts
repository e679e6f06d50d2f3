import { asName } from '@/core/text/named';

/** Names that are devices, whatever follows them after a dot (Win32 file system conventions). */
const DEVICE = /^(con|prn|aux|nul|com\d|lpt\d)\s*(\.|$)/i;

/** A title without what file systems refuse: separators, wildcards, a dot at either end, names of devices. */
export function fileName(title: string): string {
  const plain = asName(asName(title, title.length).replace(/[\\/:*?"<>|]+/g, ' '), 80).replace(
    /^[\s.]+|[\s.]+$/g,
    '',
  );
  return !plain || DEVICE.test(plain) ? `Untitled ${plain}`.trim() : plain;
}

/** Hands a file to the user. */
export function download(blob: Blob, name: string): void {
  const address = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}
