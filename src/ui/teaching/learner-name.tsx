'use client'
import { useEffect, useState } from 'react'
import { TextRow } from '../shared/text-row'

const STORE = 'fold-anvil-learner'

/** Who is learning on this device; remembered here. */
export function useLearner(): readonly [string, (name: string) => void] {
  const [learner, setLearner] = useState('')
  useEffect(() => setLearner(localStorage.getItem(STORE) ?? ''), [])
  return [
    learner,
    (name) => {
      setLearner(name)
      localStorage.setItem(STORE, name)
    },
  ]
}

export function LearnerName({ learner, onChange }: { readonly learner: string; readonly onChange: (name: string) => void }) {
  return <TextRow label="Your name" value={learner} onChange={onChange} />
}
