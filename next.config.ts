import type { NextConfig } from 'next'

const config: NextConfig = {
  poweredByHeader: false,
  devIndicators: false,
  reactStrictMode: true,
  // types are checked by `npm run types`
  typescript: { ignoreBuildErrors: true },
  // a build is made from nothing on a fresh machine: what it would keep for the next one takes as long to write as it saves
  experimental: { serverActions: { bodySizeLimit: '4mb' }, turbopackFileSystemCacheForBuild: false },
}

export default config
