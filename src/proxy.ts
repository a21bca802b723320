import { type NextRequest, NextResponse } from 'next/server';
import { policyOf } from '@/server/policy';

/** Gives each page the policy of what it may do. The framework reads the word of the day from it and marks its own scripts. */
export function proxy(request: NextRequest): NextResponse {
  // The tools of development evaluate code, which the policy forbids.
  if (process.env.NODE_ENV !== 'production') return NextResponse.next();
  const policy = policyOf(btoa(crypto.randomUUID()));
  const headers = new Headers(request.headers);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
}

/** Pages only: what is fetched by them runs under their policy, or under that of `next.config.ts`. */
export const config = {
  matcher: '/((?!api/|_next/|icons/|icon\\.svg|apple-icon\\.png|sw\\.js|manifest\\.webmanifest).*)',
};
