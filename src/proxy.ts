/** Goes before every page: a policy of its own, with a number by which its scripts and styles are known. */
import { NextResponse, type NextRequest } from 'next/server';
import { pagePolicy } from '@/app/headers';

export function proxy(request: NextRequest): NextResponse {
  const nonce = btoa(String.fromCharCode(...crypto.getRandomValues(new Uint8Array(18))));
  const policy = pagePolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  // Next gives the number to its own scripts when the request says it.
  headers.set('content-security-policy', policy);
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set('content-security-policy', policy);
  return answer;
}

/** Pages, and nothing that is a file. */
export const config = {
  matcher: [
    {
      source: '/((?!_next/|api/|house/|demo/|.*\\..*).*)',
      missing: [{ type: 'header', key: 'next-router-prefetch' }],
    },
  ],
};
