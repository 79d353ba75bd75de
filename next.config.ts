import type { NextConfig } from 'next'

const config: NextConfig = {
  poweredByHeader: false,
  devIndicators: false,
  reactStrictMode: true,
  // types are checked by `npm run types`
  typescript: { ignoreBuildErrors: true },
  experimental: { serverActions: { bodySizeLimit: '4mb' } },
}

export default config
