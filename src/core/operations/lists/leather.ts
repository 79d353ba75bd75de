import { makeLoop } from '../leather/make-loop'
import { punchSizeHoles } from '../leather/punch-size-holes'
import { punchSlot } from '../leather/punch-slot'
import { skive } from '../leather/skive'
import { stitch } from '../leather/stitch'

export const LEATHER = [makeLoop, punchSizeHoles, punchSlot, skive, stitch] as const
