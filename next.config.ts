import type { NextConfig } from 'next'

const config: NextConfig = {
  poweredByHeader: false,
  devIndicators: false,
  reactStrictMode: true,
  // types are checked by `npm run types`
  typescript: { ignoreBuildErrors: true },
  // a fresh machine has nothing kept from a build before, and to keep something for the next takes 16 s of writing
  experimental: { serverActions: { bodySizeLimit: '4mb' }, turbopackFileSystemCacheForBuild: false },
}

export default config
