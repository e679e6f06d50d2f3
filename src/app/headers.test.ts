/** What pages and files may do: no script or style but the program's own, nothing to or from elsewhere (CSP Level 3). */
import type { NextRequest } from 'next/server';
import { COMMON, filePolicy, pagePolicy } from '@/app/headers';
import { config, proxy } from '@/proxy';

const directives = (policy: string) =>
  new Map(policy.split('; ').map((each) => [each.split(' ')[0]!, each.split(' ').slice(1)] as const));

test('each directive is said once; what is not named falls to the program itself', () => {
  for (const policy of [pagePolicy('n1'), filePolicy]) {
    const all = directives(policy);
    expect(all.size).toBe(policy.split('; ').length);
    expect(all.get('default-src')).toEqual(["'self'"]);
    expect(all.get('object-src')).toEqual(["'none'"]);
    expect(all.get('base-uri')).toEqual(["'none'"]);
    expect(all.get('frame-ancestors')).toEqual(["'none'"]);
    expect(all.get('form-action')).toEqual(["'self'"]);
  }
});

test('no source lies elsewhere, and nothing is let in that is written into a page', () => {
  for (const policy of [pagePolicy('n1'), filePolicy]) {
    expect(policy).not.toMatch(/https?:|\*|'unsafe-eval'/);
    for (const [name, sources] of directives(policy))
      if (sources.includes("'unsafe-inline'")) expect(name).toBe('style-src-attr');
    expect(directives(policy).get('script-src')).not.toContain('data:');
    expect(directives(policy).get('connect-src')).toEqual(["'self'", 'blob:']);
  }
});

test('a page’s scripts and styles are known by its number alone', () => {
  const page = directives(pagePolicy('abc='));
  expect(page.get('script-src')).toEqual(
    expect.arrayContaining(["'nonce-abc='", "'strict-dynamic'", "'wasm-unsafe-eval'"]),
  );
  expect(page.get('style-src')).toEqual(["'self'", "'nonce-abc='"]);
  expect(filePolicy).not.toContain('nonce');
});

test('devices a page never needs are shut off, and nobody else has a hold on it', () => {
  for (const device of ['camera', 'geolocation', 'microphone', 'payment', 'usb'])
    expect(COMMON['Permissions-Policy']).toContain(`${device}=()`);
  expect(COMMON).toMatchObject({
    'X-Content-Type-Options': 'nosniff',
    'Referrer-Policy': 'no-referrer',
    'Cross-Origin-Opener-Policy': 'same-origin',
  });
});

describe('before every page', () => {
  const asked = () => proxy({ headers: new Headers({ accept: 'text/html' }) } as NextRequest);
  const policyOf = (answer: ReturnType<typeof proxy>) => answer.headers.get('content-security-policy')!;

  test('a number of its own is drawn, long enough not to be guessed, and told to what makes the page', () => {
    const answers = Array.from({ length: 50 }, asked);
    const numbers = answers.map((answer) => /'nonce-([^']+)'/.exec(policyOf(answer))![1]!);
    expect(new Set(numbers).size).toBe(50);
    for (const number of numbers) expect(atob(number)).toHaveLength(18);
    const [answer] = answers;
    expect(answer!.headers.get('x-middleware-request-x-nonce')).toBe(numbers[0]);
    expect(answer!.headers.get('x-middleware-request-content-security-policy')).toBe(policyOf(answer!));
  });

  test('it goes before pages, and before nothing that is a file', () => {
    const { source } = config.matcher[0]!;
    const goes = (path: string) => new RegExp(`^${source.replace(/^\/\(/, '/(')}$`).test(path);
    expect(['/', '/table', '/cupboard'].map(goes)).toEqual([true, true, true]);
    expect(
      [
        '/_next/static/x.js',
        '/api/shop/orders',
        '/house/kits.json',
        '/demo/projects.json',
        '/sw.js',
        '/favicon.ico',
      ].map(goes),
    ).toEqual(Array(6).fill(false));
  });
});
