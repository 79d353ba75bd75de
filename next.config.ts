import type { NextConfig } from 'next'

const config: NextConfig = {
  poweredByHeader: false,
  devIndicators: false,
  reactStrictMode: true,
  experimental: { serverActions: { bodySizeLimit: '4mb' } },
}

export default config
