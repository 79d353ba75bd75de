export { DAY_TRIES, type PlacedTask, planDay, type ScheduleAnswer } from './plan'
export { type ScheduleInput, SHARED, type Shared, scheduleInput } from './schema'
export { type StepOfTray, type TookMinutes, type WorkLeft, workLeft, workToBe } from './tray-work'
export { boundWords, dueWords, promiseWords, toFiveMinutes } from './words'
