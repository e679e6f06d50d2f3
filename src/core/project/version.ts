/** Raised whenever a reader of the last version could misread a file; each raise adds a line to `MIGRATIONS` in file.ts. */
export const FILE_VERSION = 21;
