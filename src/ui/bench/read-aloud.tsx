'use client'
import { useEffect, useState } from 'react'
import { BigButton } from './big-button'

/** Reads a step aloud by the browser’s own voice; not there where the browser has none. */
export function ReadAloud({ text }: { readonly text: string }) {
  const [canSpeak, setCanSpeak] = useState(false)
  useEffect(() => {
    setCanSpeak('speechSynthesis' in window)
    return () => window.speechSynthesis?.cancel()
  }, [])
  if (!canSpeak) return null
  const speak = () => {
    window.speechSynthesis.cancel()
    window.speechSynthesis.speak(Object.assign(new SpeechSynthesisUtterance(text), { lang: 'en', rate: 0.95 }))
  }
  return (
    <BigButton plain onPress={speak}>
      read aloud
    </BigButton>
  )
}
