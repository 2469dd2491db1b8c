import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  serverExternalPackages: ['pg', 'pdfkit', 'highs', 'manifold-3d', 'piscina'],
  // Types are a check of their own in bin/test, over everything: a build does not ask again.
  typescript: { ignoreBuildErrors: true },
  // A test run builds beside a running Taller without disturbing it.
  distDir: process.env.TALLER_DIST ?? '.next',
  outputFileTracingRoot: process.cwd(),
};

export default config;
