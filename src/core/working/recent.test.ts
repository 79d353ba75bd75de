import { expect, it } from 'vitest'
import { recent } from './recent'

it('works the same question out once, and forgets what was asked longest ago', () => {
  const asked: string[] = []
  const ask = recent<string>(2)
  const of = (question: string) =>
    ask(question, () => {
      asked.push(question)
      return question.toUpperCase()
    })
  expect(['a', 'b', 'a', 'c', 'a', 'b'].map(of)).toEqual(['A', 'B', 'A', 'C', 'A', 'B'])
  expect(asked).toEqual(['a', 'b', 'c', 'b'])
})

it('works out anew what is not kept', () => {
  let asked = 0
  const ask = recent<boolean>(2, (answer) => answer)
  for (let n = 0; n < 3; n++)
    ask('a', () => {
      asked++
      return asked === 3
    })
  ask('a', () => false)
  expect(asked).toBe(3)
})
