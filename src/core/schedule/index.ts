export { DAY_TRIES, type PlacedTask, planDay, type ScheduleAnswer } from './plan'
export { type ScheduleInput, SHARED, type Shared, scheduleInput } from './schema'
export { type StepOfTray, type TookMinutes, type WorkLeft, workLeft } from './tray-work'
export { boundWords, promiseWords, toFiveMinutes } from './words'
