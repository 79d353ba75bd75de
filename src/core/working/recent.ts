/**
 * Remembers what was worked out, the answers used last and no more than so many: the same question, given as a text, is worked out once. An
 * answer that is not kept is worked out anew each time.
 */
export function recent<T>(most: number, isKept: (answer: T) => boolean = () => true): (question: string, workOut: () => T) => T {
  const answers = new Map<string, { readonly answer: T }>()
  return (question, workOut) => {
    const known = answers.get(question)
    const answer = known ? known.answer : workOut()
    if (!isKept(answer)) return answer
    answers.delete(question)
    answers.set(question, known ?? { answer })
    const [oldest] = answers.keys()
    if (answers.size > most && oldest !== undefined) answers.delete(oldest)
    return answer
  }
}
