/** Blanks on a sheet: no usual set has it. Drawn in the weight of the icons. */
export function SheetSign({ size = 22 }: { readonly size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.7"
      strokeLinejoin="round"
      strokeLinecap="round"
      aria-hidden="true"
    >
      <path d="M3 4h18v12l-5 4H3zM16 20v-4h5" />
      <circle cx="8.5" cy="9" r="2.6" />
      <path d="M13.5 7.5h4.5v4h-4.5zM6 15.5h6" />
    </svg>
  )
}
