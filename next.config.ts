import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: [
    'pdfkit',
    'mysql2',
    'joi',
    'joi-to-swagger',
    'qrcode',
    'piscina',
    'sharp',
    '@node-rs/argon2',
    'rate-limiter-flexible',
    'tesseract.js',
  ],
  // `npm test` checks types for the whole tree; a start need not do it again.
  typescript: { ignoreBuildErrors: true },
  poweredByHeader: false,
  // scripts/server.mjs does it.
  compress: false,
  reactStrictMode: true,
  // Whatever is larger would be cut off before it is read; each address has a limit of its own (src/app/api/v1/answers.ts).
  experimental: { proxyClientMaxBodySize: '200mb' },
  images: { unoptimized: true },
  headers: () =>
    Promise.resolve([
      {
        source: '/:path*',
        headers: [
          { key: 'x-content-type-options', value: 'nosniff' },
          { key: 'x-frame-options', value: 'DENY' },
          { key: 'referrer-policy', value: 'no-referrer' },
          { key: 'cross-origin-resource-policy', value: 'same-origin' },
          { key: 'cross-origin-opener-policy', value: 'same-origin' },
          { key: 'permissions-policy', value: 'geolocation=(), microphone=(), payment=(), usb=()' },
        ],
      },
    ]),
};

export default config;
