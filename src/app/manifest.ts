import type { MetadataRoute } from 'next'

/** How a phone puts the bench among its own programs. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Fold Anvil, the bench',
    short_name: 'Fold Anvil',
    id: '/bench',
    start_url: '/bench',
    scope: '/',
    display: 'standalone',
    background_color: '#1d2b30',
    theme_color: '#1d2b30',
    icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
  }
}
