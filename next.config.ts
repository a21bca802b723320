import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  devIndicators: false,
  poweredByHeader: false,
  // `npm run verify` has checked the types before it builds.
  typescript: { ignoreBuildErrors: process.env.TYPES_CHECKED === '1' },
};

export default config;
