import type { AgentId } from './agents'

const OF_PATINA: Readonly<Record<string, AgentId>> = {
  'sulphurated-potash': 'sulphurated-potash',
  'ammonium-sulphide': 'ammonium-sulphide',
  selenious: 'selenious-black',
  tellurium: 'tellurium-black',
  'ammonia-fume': 'ammonia',
  'ammonia-salt': 'ammonia',
}

/** The agent that a colour brings onto the bench; undefined for heat and for salts that harm nothing beside them. */
export const agentOfPatina = (patina: string): AgentId | undefined => OF_PATINA[patina]

const OF_SOLUTION: Readonly<Record<string, AgentId>> = {
  'copper-sulphate': 'copper-sulphate',
  salt: 'salt-water',
  'copper-nitrate': 'copper-nitrate',
}

/** What stands open on the bench where an operation has no agent chosen. */
const USUAL: Readonly<Record<string, AgentId>> = {
  pickle: 'pickle',
  'patina-dip': 'sulphurated-potash',
  'patina-spray': 'selenious-black',
  neutralise: 'bicarbonate',
  etch: 'copper-sulphate',
  'strip-resist': 'solvent',
}

/** What stands open on the bench while a step is done; undefined where nothing does. */
export function agentOfStep({
  op,
  params,
}: {
  readonly op: string
  readonly params: Readonly<Record<string, unknown>>
}): AgentId | undefined {
  const chosen = op === 'etch' ? OF_SOLUTION[String(params.solution)] : agentOfPatina(String(params.agent))
  return chosen ?? USUAL[op]
}
