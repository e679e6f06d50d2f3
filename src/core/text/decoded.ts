/**
 * The text of a file that nobody says the encoding of: by the mark it begins with, in UTF-8 where most of its letters are
 * that, else in Windows-1252, as older programs write (WHATWG Encoding Standard).
 */
export function decodedText(bytes: Uint8Array): string {
  const [first, second] = bytes;
  if (first === 0xff && second === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (first === 0xfe && second === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  const text = new TextDecoder().decode(bytes);
  const wrong = text.match(/\ufffd/g)?.length ?? 0;
  const right = text.match(/[^\0-\x7f\ufffd]/gu)?.length ?? 0;
  return wrong > right ? new TextDecoder('windows-1252').decode(bytes) : text;
}
