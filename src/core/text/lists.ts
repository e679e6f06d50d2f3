/** A paragraph that begins like this is an item of a list: its further lines begin where its first one's words do. */
const LIST_MARK = /^(?:•|–|\d{1,3}[.)])[ \t]+/;
export const listMark = (paragraph: string): string => LIST_MARK.exec(paragraph)?.[0] ?? '';
