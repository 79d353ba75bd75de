export { type PlacedTask, planDay, type ScheduleAnswer } from './plan'
export { type ScheduleInput, SHARED, type Shared, scheduleInput } from './schema'
