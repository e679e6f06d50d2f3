/** Ids of projects and pieces. */
export const newId = (): string => crypto.randomUUID();
