import type { NextConfig } from 'next';
import { policyOf } from './src/server/policy';

/** Of all that is served. Pages get a policy of their own from `src/proxy.ts`; this one is of workers and of whatever else runs. */
const HEADERS = [
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
  headers: async () =>
    process.env.NODE_ENV === 'production'
      ? [
          { source: '/:path*', headers: HEADERS },
          { source: '/(_next|api|sw.js)/:path*', headers: [{ key: 'content-security-policy', value: policyOf() }] },
        ]
      : [],
};

export default config;
