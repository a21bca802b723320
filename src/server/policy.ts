/**
 * What a page may do, as a content security policy: ask this server only, run only code that came from it as a file or that it marked with the
 * word of this page, and be shown in no other page. Charts and positions are styled in place, hence `unsafe-inline` for styles alone.
 */
export function policyOf(word?: string): string {
  return [
    "default-src 'self'",
    word === undefined ? "script-src 'self'" : `script-src 'self' 'nonce-${word}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "connect-src 'self' blob: data:",
    "worker-src 'self' blob:",
    "frame-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}
