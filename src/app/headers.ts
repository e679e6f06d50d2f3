/** What pages and files may do, said to the browser with each of them (Content Security Policy Level 3, Fetch, HTML). */

/** @param scripts beside the program's own files */
const policy = (scripts: string, styles: string): string =>
  [
    "default-src 'self'",
    `script-src 'self' ${scripts} 'wasm-unsafe-eval'`,
    `style-src 'self' ${styles}`,
    // What is laid out is said in attributes: no sheet of styles, and nothing that could be fetched by one.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self' blob:",
    "connect-src 'self' blob:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

/** A page's: its own scripts and styles are known by a number that is drawn for each answer. */
export const pagePolicy = (nonce: string): string =>
  policy(`'nonce-${nonce}' 'strict-dynamic'`, `'nonce-${nonce}'`);

/** That of workers, and of files that are looked at by themselves. */
export const filePolicy = policy('', '');

export const COMMON = {
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'no-referrer',
  'Permissions-Policy':
    'accelerometer=(), camera=(), display-capture=(), geolocation=(), gyroscope=(), magnetometer=(), microphone=(), midi=(), payment=(), serial=(), usb=()',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Resource-Policy': 'same-origin',
};
