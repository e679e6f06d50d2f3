/** When photos were taken, in words. Times are local ones, `2026-05-16T14:32:00`; their zone is not known and does not matter. */

const DAYS = 'Sunday Monday Tuesday Wednesday Thursday Friday Saturday'.split(' ');
const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
);

/** `2026-05-16T14:32:00` as `16 May 2026, 14:32`; nothing if it is not known. */
export function takenInWords(taken: string | undefined): string {
  const [, year, month, day, time] = /^(\d{4})-(\d\d)-(\d\d)T(\d\d:\d\d)/.exec(taken ?? '') ?? [];
  return year ? `${Number(day)} ${MONTHS[Number(month) - 1]} ${year}, ${time}` : '';
}

/** A local time as it is kept. */
export const LOCAL_TIME =
  /^\d{4}-(?:0[1-9]|1[0-2])-(?:0[1-9]|[12]\d|3[01])T(?:[01]\d|2[0-3]):[0-5]\d:[0-5]\d$/;

/** Seconds of a local time, for gaps between times. */
export const secondsOf = (taken: string): number => Date.parse(`${taken}Z`) / 1000;

/** `Saturday 16 May 2026`. */
export function dayInWords(taken: string): string {
  const day = new Date(1000 * secondsOf(taken)).getUTCDay();
  return `${DAYS[day]} ${takenInWords(taken).replace(/,.*/, '')}`;
}
