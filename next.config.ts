import type { NextConfig } from 'next'

const config: NextConfig = {
  poweredByHeader: false,
  devIndicators: false,
  reactStrictMode: true,
  // types are checked by `npm run types`
  typescript: { ignoreBuildErrors: true },
  experimental: {
    serverActions: { bodySizeLimit: '4mb' },
    // a page is loaded when it is first asked for: the program is there after one second in place of three, with a third less memory
    preloadEntriesOnStart: false,
    // a fresh machine has nothing kept from a build before, and to keep something for the next takes 16 s of writing
    turbopackFileSystemCacheForBuild: false,
    // what runs on the server is not sent anywhere: to make it small, and maps for it, is a quarter of the build
    turbopackMinify: { server: false, client: true },
    turbopackSourceMaps: false,
  },
}

export default config
