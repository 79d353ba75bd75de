import '@fontsource-variable/atkinson-hyperlegible-next'
import '@fontsource-variable/atkinson-hyperlegible-mono'
import '@fontsource-variable/bricolage-grotesque'
import type { Metadata, Viewport } from 'next'
import type { ReactNode } from 'react'
import { currentWorkshop } from '@/server/db/connection'
import { workshop } from '@/server/workshop'
import { Frame } from '@/ui/shared/frame'
import { Themed } from '@/ui/theme/theme-provider'

export const metadata: Metadata = {
  title: 'Fold Anvil',
  description: 'From a finished piece to its blank, and to a better blank next time.',
}
export const viewport: Viewport = { width: 'device-width', initialScale: 1 }
export const dynamic = 'force-dynamic'

export default function RootLayout({ children }: { children: ReactNode }) {
  const { settings, tools } = workshop()
  const { ringSystem, defaultAlloy, units, figures, kerfMm } = settings.read()
  return (
    <html lang="en">
      <body>
        <Themed>
          <Frame
            demo={currentWorkshop() === 'demo'}
            view={{ ringSystem, defaultAlloy, units, kerfMm, bench: { tools: tools.owned(), figures } }}
          >
            {children}
          </Frame>
        </Themed>
      </body>
    </html>
  )
}
