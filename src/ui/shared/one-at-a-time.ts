/** Runs follow one another, never two at once; whatever is asked for while one is under way is one more run after it. */
export function oneAtATime(work: () => Promise<void>): () => Promise<void> {
  let last = Promise.resolve()
  let isAsked = false
  const run = () => {
    isAsked = false
    return work()
  }
  return () => {
    if (isAsked) return last
    isAsked = true
    last = last.then(run, run)
    return last
  }
}
