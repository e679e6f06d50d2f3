/** What pages and the service worker both know. */

/** The rooms, by their addresses. */
export const BUILD_PAGES = ['/', '/table', '/cupboard'] as const;

/** The program's mark. */
export const ICON = '/icon.svg';

/** Where papers, fonts and kits are kept by the browser. */
export const HOUSE_CACHE = 'house';

/** Said to a newer service worker that waits. */
export const TAKE_OVER = 'take over';
