import { draw } from '../pressing/draw'
import { pressDie } from '../pressing/press-die'
import { roll } from '../pressing/roll'
import { textureAbrasive } from '../pressing/texture-abrasive'

export const PRESSING = [draw, pressDie, roll, textureAbrasive] as const
