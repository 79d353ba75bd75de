import { useEffect, useState } from 'react'

/** False as a page is written on the server and until it is alive on the device that looks at it: what takes long and is not looked at first waits for that. */
export function useIsHere(): boolean {
  const [isHere, setIsHere] = useState(false)
  useEffect(() => setIsHere(true), [])
  return isHere
}
