'use client'
import Link from 'next/link'
import { type ComponentProps, useState } from 'react'

/** A link to a page that is fetched once the hand comes near: of all links in sight most are never followed. */
export function PageLink({ onMouseEnter, onFocus, onTouchStart, ...link }: ComponentProps<typeof Link>) {
  const [isNear, setNear] = useState(false)
  return (
    <Link
      {...link}
      prefetch={isNear ? null : false}
      onMouseEnter={(event) => {
        setNear(true)
        onMouseEnter?.(event)
      }}
      onFocus={(event) => {
        setNear(true)
        onFocus?.(event)
      }}
      onTouchStart={(event) => {
        setNear(true)
        onTouchStart?.(event)
      }}
    />
  )
}
