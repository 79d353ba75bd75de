'use client'
import { useState } from 'react'

/** A text that is taken when its field is left; what is stored anew meanwhile stands there again. */
export function useKept(stored: string, onTake: (text: string) => void) {
  const [text, setText] = useState(stored)
  const [shown, setShown] = useState(stored)
  if (shown !== stored) {
    setShown(stored)
    setText(stored)
  }
  return {
    text,
    setText,
    take: () => {
      if (text !== stored) onTake(text)
    },
  }
}
