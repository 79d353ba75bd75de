/** What stands or is used on a bench, by what it does with other things (facts high, from memory; see the table of incompatible materials). */
export const AGENTS = {
  'sulphurated-potash': { title: 'sulphurated potash', is: ['sulphide'] },
  'ammonium-sulphide': { title: 'ammonium sulphide', is: ['sulphide', 'ammonia'] },
  pickle: { title: 'pickle', is: ['acid'] },
  'citric-acid': { title: 'citric acid', is: ['acid'] },
  'sulphuric-acid': { title: 'sulphuric acid', is: ['acid', 'strong-acid'] },
  'nitric-acid': { title: 'nitric acid', is: ['acid', 'strong-acid'] },
  vinegar: { title: 'vinegar', is: ['acid'] },
  'selenious-black': { title: 'selenious black', is: ['acid', 'selenious'] },
  'tellurium-black': { title: 'tellurium black', is: ['acid', 'selenious'] },
  ammonia: { title: 'ammonia', is: ['ammonia', 'alkali'] },
  bleach: { title: 'hypochlorite bleach', is: ['bleach'] },
  peroxide: { title: 'hydrogen peroxide', is: ['peroxide'] },
  solvent: { title: 'organic solvent (acetone, spirit)', is: ['solvent'] },
  bicarbonate: { title: 'bicarbonate', is: ['neutraliser'] },
  cyanide: { title: 'cyanide', is: ['cyanide'] },
  'copper-sulphate': { title: 'copper sulphate bath', is: ['copper-salt'] },
  'salt-water': { title: 'salt water', is: [] },
  'copper-nitrate': { title: 'copper nitrate bath', is: ['oxidiser', 'copper-salt'] },
  water: { title: 'water', is: [] },
} as const
export type AgentId = keyof typeof AGENTS
export const AGENT_IDS = Object.keys(AGENTS) as [AgentId, ...AgentId[]]

/** Whether an agent is of a kind. */
export const isOf = (agent: AgentId, kind: string): boolean => (AGENTS[agent].is as readonly string[]).includes(kind)
