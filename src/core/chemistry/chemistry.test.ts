import { describe, expect, it } from 'vitest'
import { INCOMPATIBLE } from '../tables/baths/bath-data'
import { AGENT_IDS, type AgentId } from './agents'
import { benchChemistry, sequenceChemistry } from './forbidden'
import { agentOfStep } from './step-agents'

const stops = (agents: readonly AgentId[]) => benchChemistry(agents).filter(({ level }) => level === 'stop')

describe('what never stands together', () => {
  it.each([
    ['sulphurated-potash', 'pickle', 'hydrogen sulphide'],
    ['ammonium-sulphide', 'vinegar', 'hydrogen sulphide'],
    ['sulphurated-potash', 'selenious-black', 'hydrogen sulphide'],
    ['ammonia', 'bleach', 'chloramines'],
    ['pickle', 'bleach', 'chlorine'],
    ['peroxide', 'solvent', 'fire'],
    ['nitric-acid', 'solvent', 'fire'],
  ] as const)('%s and %s: %s', (one, other, gives) => {
    expect(stops([one, other])[0]?.message).toContain(gives)
    expect(stops([other, 'water', one])[0]?.message).toContain(gives)
  })
  it('cyanide is never planned, alone or beside anything', () => {
    for (const agent of AGENT_IDS) expect(stops(['cyanide', agent]).map(({ code }) => code)).toContain('cyanide')
  })
  it('every pair the table blocks by what two agents are is blocked here', () => {
    expect(INCOMPATIBLE.filter(({ severity }) => severity === 'block').map(({ id }) => id)).toEqual([
      'sulphide-acid',
      'ammonia-bleach',
      'acid-bleach',
      'water-acid',
      'peroxide-closed',
    ])
    expect(stops(['sulphurated-potash', 'sulphuric-acid', 'ammonia', 'bleach', 'peroxide', 'solvent'])).toHaveLength(5)
  })
  it('lets what is harmless together stand', () => {
    expect(stops(['pickle', 'bicarbonate', 'water'])).toEqual([])
    expect(stops(['sulphurated-potash', 'bicarbonate', 'water'])).toEqual([])
  })
})

describe('one bath after another', () => {
  it('from pickle into a sulphide asks for a rinse and bicarbonate in between', () => {
    expect(sequenceChemistry(['pickle', 'sulphurated-potash'])).toHaveLength(1)
    expect(sequenceChemistry(['pickle', 'water', 'sulphurated-potash'])).toHaveLength(1)
    expect(sequenceChemistry(['pickle', 'water', 'bicarbonate', 'water', 'sulphurated-potash'])).toHaveLength(0)
    expect(sequenceChemistry(['sulphurated-potash', 'water', 'pickle'])).toHaveLength(1)
  })
})

describe('what stands open at a step', () => {
  it.each([
    ['pickle', {}, 'pickle'],
    ['patina-dip', {}, 'sulphurated-potash'],
    ['patina-dip', { agent: 'tellurium' }, 'tellurium-black'],
    ['verdigris', { agent: 'ammonia-fume' }, 'ammonia'],
    ['etch', {}, 'copper-sulphate'],
    ['etch', { solution: 'copper-nitrate' }, 'copper-nitrate'],
    ['file', {}, undefined],
  ])('%s %j: %s', (op, params, agent) => expect(agentOfStep({ op, params })).toBe(agent))
  it('copper nitrate beside the solvent that strips a resist is a stop', () => {
    const [etch, strip] = [
      agentOfStep({ op: 'etch', params: { solution: 'copper-nitrate' } }),
      agentOfStep({ op: 'strip-resist', params: {} }),
    ]
    expect(etch && strip && stops([etch, strip])[0]?.message).toContain('fire')
  })
})
