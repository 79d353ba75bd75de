import { formatPlain } from '../units/format'
import { InvariantError } from './invariant'

type Env = Readonly<Record<string, number>>
type Node = (env: Env) => number
interface Token {
  readonly kind: 'number' | 'name' | 'sign'
  readonly text: string
}

const TOKEN = /\s*(?:(\d+(?:\.\d+)?)|([A-Za-zΑ-Ωα-ωπ][A-Za-z0-9_Α-Ωα-ω₀-₉]*)|([+\-−·×/^()√,]))/uy

const FUNCTIONS: Readonly<Record<string, (...args: number[]) => number>> = {
  sin: Math.sin,
  cos: Math.cos,
  asin: Math.asin,
  acos: Math.acos,
  atan: Math.atan,
  ln: Math.log,
  exp: Math.exp,
  min: Math.min,
  max: Math.max,
  abs: Math.abs,
  log10: Math.log10,
  // what floating point leaves under a whole number is that number
  floor: (value) => Math.floor(value + 1e-9),
  roundUp: (value, step) => Math.ceil(value / (step ?? 1) - 1e-9) * (step ?? 1),
}

function tokenize(formula: string): Token[] {
  const tokens: Token[] = []
  TOKEN.lastIndex = 0
  while (TOKEN.lastIndex < formula.trimEnd().length) {
    const at = TOKEN.lastIndex
    const match = TOKEN.exec(formula)
    if (!match) throw new InvariantError('formula-unreadable', { got: formula.slice(at), expected: 'numbers, names and + − · / ^ √ ( )' })
    const [, number, name, sign] = match
    tokens.push(number ? { kind: 'number', text: number } : name ? { kind: 'name', text: name } : { kind: 'sign', text: sign ?? '' })
  }
  return tokens
}

/** Recursive descent: sum → product → power → atom; √ and minus bind to the atom that follows. */
function parse(tokens: readonly Token[], formula: string): Node {
  let at = 0
  const peek = () => tokens[at]?.text
  const take = () => tokens[at++]
  const expect = (text: string) => {
    if (take()?.text !== text) throw new InvariantError('formula-unreadable', { got: formula, expected: `"${text}"` })
  }

  function list(): Node[] {
    const items = [sum()]
    while (peek() === ',') {
      take()
      items.push(sum())
    }
    expect(')')
    return items
  }

  function atom(): Node {
    const token = take()
    if (!token) throw new InvariantError('formula-unreadable', { got: formula, expected: 'a value' })
    if (token.kind === 'number') return () => Number(token.text)
    if (token.text === '(') {
      const inner = sum()
      expect(')')
      return inner
    }
    if (token.text === '√') {
      const inner = atom()
      return (env) => Math.sqrt(inner(env))
    }
    if (token.text === '-' || token.text === '−') {
      const inner = power()
      return (env) => -inner(env)
    }
    return named(token.text)
  }

  function named(name: string): Node {
    const apply = FUNCTIONS[name]
    if (apply && peek() === '(') {
      take()
      const args = list()
      return (env) => apply(...args.map((arg) => arg(env)))
    }
    if (name === 'π') return () => Math.PI
    return (env) => {
      const value = env[name]
      if (value === undefined) throw new InvariantError('formula-symbol', { got: name, expected: `one of ${Object.keys(env).join(', ')}` })
      return value
    }
  }

  function power(): Node {
    const base = atom()
    if (peek() !== '^') return base
    take()
    const exponent = power()
    return (env) => base(env) ** exponent(env)
  }

  function product(): Node {
    let left = power()
    for (let op = peek(); op === '·' || op === '×' || op === '/'; op = peek()) {
      take()
      const a = left
      const b = power()
      left = op === '/' ? (env) => a(env) / b(env) : (env) => a(env) * b(env)
    }
    return left
  }

  function sum(): Node {
    let left = product()
    for (let op = peek(); op === '+' || op === '-' || op === '−'; op = peek()) {
      take()
      const a = left
      const b = product()
      left = op === '+' ? (env) => a(env) + b(env) : (env) => a(env) - b(env)
    }
    return left
  }

  const whole = sum()
  if (at < tokens.length)
    throw new InvariantError('formula-unreadable', { got: formula, expected: `nothing after "${tokens[at - 1]?.text}"` })
  return whole
}

const READ = new Map<string, Node>()

/** Works a formula out: `evaluateFormula('π·(d + t)', { d: 16.51, t: 1.63 })` is 56.99. Throws InvariantError on an unknown symbol. */
export function evaluateFormula(formula: string, env: Env): number {
  let node = READ.get(formula)
  if (!node) {
    node = parse(tokenize(formula), formula)
    READ.set(formula, node)
  }
  return node(env)
}

/** The formula with its numbers put in: "π·(16.51 + 1.63)"; one below zero in brackets, so that it can be read and worked out. */
export function substituteFormula(formula: string, env: Env): string {
  return formula.replace(/[A-Za-zΑ-Ωα-ω][A-Za-z0-9_Α-Ωα-ω₀-₉]*/gu, (name) => {
    const value = env[name]
    if (value === undefined) return name
    return value < 0 ? `(−${formatPlain(-value)})` : formatPlain(value)
  })
}
