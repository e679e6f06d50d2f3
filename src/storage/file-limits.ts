/** What `.bellagraph` files are called and hold; apart from what reads and writes them, which weighs a good deal more. */
export const MEGABYTE = 2 ** 20;
export const GIGABYTE = 2 ** 30;

export const FILE_ENDING = '.bellagraph';

/** What a file holds at most, unpacked; whoever packs keeps to it as well. */
export const LIMITS = { unpacked: 16 * GIGABYTE, project: 256 * MEGABYTE, entries: 20_500 };
