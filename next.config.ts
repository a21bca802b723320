import type { NextConfig } from 'next';

/**
 * What a page may do: ask this server only, run its own code, be shown in no other page. Next writes small scripts into its pages, and charts
 * and positions are styled in place: both are `unsafe-inline`.
 */
const POLICY = [
  "default-src 'self'",
  "script-src 'self' 'unsafe-inline'",
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

const HEADERS = [
  { key: 'content-security-policy', value: POLICY },
  { key: 'x-content-type-options', value: 'nosniff' },
  { key: 'x-frame-options', value: 'DENY' },
  { key: 'referrer-policy', value: 'no-referrer' },
  { key: 'cross-origin-opener-policy', value: 'same-origin' },
  { key: 'cross-origin-resource-policy', value: 'same-origin' },
  { key: 'permissions-policy', value: 'camera=(self), geolocation=(), microphone=(self)' },
];

const config: NextConfig = {
  reactStrictMode: true,
  devIndicators: false,
  poweredByHeader: false,
  // `npm run verify` has checked the types before it builds.
  typescript: { ignoreBuildErrors: process.env.TYPES_CHECKED === '1' },
  // The tools of development evaluate code, which the policy forbids.
  headers: async () => (process.env.NODE_ENV === 'production' ? [{ source: '/:path*', headers: HEADERS }] : []),
};

export default config;
