export { AGENTS, type AgentId } from './agents'
export { benchChemistry } from './forbidden'
export { agentOfStep } from './step-agents'
