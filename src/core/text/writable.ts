/** Characters no document may hold: control characters but tab and line ends, and halves of surrogate pairs (XML 1.0, production 2). */

const UNWRITABLE =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;
const EACH = new RegExp(UNWRITABLE, 'g');

export const isWritable = (text: string): boolean => !UNWRITABLE.test(text);

/** The text with a space for each of them: as long as before, so that places in it stay. The same where there are none. */
export const writable = (text: string): string => (isWritable(text) ? text : text.replace(EACH, ' '));

const ENTITIES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
/** The text as XML says it, in an element or between double quotes. */
export const asXml = (text: string): string => writable(text).replace(/[&<>"]/g, (c) => ENTITIES[c]!);

/** A value of any shape with all its texts so; the same value where nothing is wrong with it. */
export function writableAll<T>(value: T): T {
  if (typeof value === 'string') return writable(value) as T;
  if (Array.isArray(value)) {
    const cleaned = value.map(writableAll);
    return cleaned.some((one, i) => one !== value[i]) ? (cleaned as T) : value;
  }
  if (value !== null && typeof value === 'object') {
    const entries = Object.entries(value).map(([key, one]) => [key, writableAll(one)] as const);
    return entries.some(([key, one]) => one !== (value as Record<string, unknown>)[key])
      ? (Object.fromEntries(entries) as T)
      : value;
  }
  return value;
}
