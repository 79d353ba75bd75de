import type { ReactNode } from 'react'

/** Line drawings for the rail: our own, 24 × 24, one stroke. */
const PATHS: Readonly<Record<string, ReactNode>> = {
  bench: <path d="M3 8h18M5 8v11M19 8v11M9 8V5h6v3M5 14h4M15 14h4" />,
  jobs: <path d="M12 4 4 19h16L12 4ZM8 14h8" />,
  layout: <path d="M4 5h16v14H4zM4 13h9V5M13 9h7M13 13v6" />,
  drawer: <path d="M4 5h16v6H4zM4 13h16v6H4zM10 8h4M10 16h4" />,
  book: <path d="M6 4h12v16H7a2 2 0 0 1-2-2V5a1 1 0 0 1 1-1ZM9 8h6M9 12h4" />,
  tables: <path d="M3 8h18v8H3zM7 8v4M11 8v3M15 8v4M19 8v3" />,
  settings: <path d="M4 7h9M17 7h3M4 12h3M11 12h9M4 17h9M17 17h3M15 5v4M9 10v4M15 15v4" />,
}

export function Mark({ name }: { readonly name: string }) {
  return (
    <svg
      width="24"
      height="24"
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.6"
      strokeLinejoin="round"
      strokeLinecap="round"
      aria-hidden="true"
    >
      {PATHS[name]}
    </svg>
  )
}

/** A fold line down an anvil: the product's own sign. */
export function Sign() {
  return (
    <svg
      width="40"
      height="32"
      viewBox="0 0 40 32"
      fill="none"
      stroke="#f3ead2"
      strokeWidth="1.8"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      <path d="M4 8 12 4h16l8 4-6 6v6l6 8H4l6-8v-6L4 8Z" />
      <path d="M20 5v22" stroke="#c99a3c" strokeWidth="1.4" strokeDasharray="2.5 2" />
    </svg>
  )
}
