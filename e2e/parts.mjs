/** The parts run beside one another, about as long as each other: most of a journey is waiting. Each has its servers for itself. */
const TABS = 'outline|several-parts|tables|tabs'
const OWN = 'few-keys|typing-calipers|fuzz|kill|kits|lan|offline|one-folder|shared-sheet'
const VIEWS = 'access|baths|finish|forms|interfaces|mark|print|size'

/** Whether all is tried, with E2E=all: without it what is marked @more, each like another journey or held by tests below the screens, is left out. */
export const ALL = process.env.E2E === 'all'

const files = (names) => new RegExp(`/(${names})\\.spec\\.ts$`)

export const PARTS = {
  tabs: { files: { testMatch: files(TABS) }, ports: [4361, 4362] },
  own: { files: { testMatch: files(OWN) }, ports: null },
  views: { files: { testMatch: files(VIEWS) }, ports: [4341, 4342] },
  shared: { files: { testIgnore: files([TABS, OWN, VIEWS].join('|')) }, ports: [4321, 4322] },
}
