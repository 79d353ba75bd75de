/** A fold line down an anvil: the product's own sign. */
export function AnvilSign() {
  return (
    <svg
      width="40"
      height="32"
      viewBox="0 0 40 32"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.8"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      <path d="M4 8 12 4h16l8 4-6 6v6l6 8H4l6-8v-6L4 8Z" />
      <path d="M20 5v22" strokeWidth="1.4" strokeDasharray="2.5 2" />
    </svg>
  )
}
