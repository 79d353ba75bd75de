import * as z from 'zod'
import { ALLOY_TITLES } from '../metals'
import { TEXTURE_LOOKS, TEXTURE_WAY_IDS, type TextureOutcome, type TextureWayId, textureChecks, textureWay } from '../texture'
import { choice, lengthMm, thicknessMm } from '../units/fields'
import { capitalised, formatPlain } from '../units/format'
import type { WorkingLog } from '../working/derive'
import type { ToolPick } from './contract'
import { benchFields, defineAdviser } from './define-adviser'

const YES_NO = { no: 'no', yes: 'yes' } as const

const input = z.strictObject({
  alloy: choice('Metal', ALLOY_TITLES).default('copper-c110'),
  look: choice('Like', TEXTURE_LOOKS).default('pattern'),
  thicknessMm: thicknessMm({ label: 'Thickness of the sheet', min: 0.1, max: 6 }),
  lengthMm: lengthMm({ label: 'Length wanted', min: 1, max: 2000 }),
  widthMm: lengthMm({ label: 'Width wanted', min: 1, max: 2000 }),
  depthMm: lengthMm({ label: 'Relief', min: 0.01, max: 2, help: 'From the deepest to the highest of it.' }).default(0.1),
  mill: choice('Rolling mill', YES_NO).default('no'),
  press: choice('Press and die', YES_NO).default('no'),
  ...benchFields(),
})

const NEEDS = { mill: 'rolling mill', press: 'press and its die' } as const

/** What a way begins with, and how thick it ends. */
const size = ({ roughLengthMm: l, roughWidthMm: w, afterMm }: TextureOutcome) =>
  `a rough piece of ${formatPlain(l, 2)} × ${formatPlain(w, 2)} mm; it ends ${formatPlain(afterMm, 2)} mm thick`

export const textureAdviser = defineAdviser({
  id: 'texture',
  title: 'Texture, and the ways to it',
  question: 'How is it textured, and what size does it begin at?',
  input,
  example: { look: 'pattern', thicknessMm: '0.9', lengthMm: '58', widthMm: '14' },
  advise: (asked) => {
    const log: WorkingLog = []
    const isThere = (id: TextureWayId) => {
      const { needs } = textureWay(id)
      return needs === undefined || asked[needs] === 'yes'
    }
    const fitting = TEXTURE_WAY_IDS.filter((id) => textureWay(id).looks.includes(asked.look)).map((id) => ({
      way: textureWay(id),
      outcome: textureWay(id).outcome(asked, log),
      owned: isThere(id),
    }))
    const sorted = [...fitting.filter(({ owned }) => owned), ...fitting.filter(({ owned }) => !owned)]
    const [first] = sorted
    return {
      answer: first ? `${capitalised(first.way.title)}: begin with ${size(first.outcome)}` : 'no way is known',
      reason: 'The nearest way of those that are there; what is missing stands after it. Growth keeps the volume of the metal.',
      picks: sorted.map(
        ({ way, outcome, owned }): ToolPick => ({
          name: way.title,
          value: outcome.afterMm,
          unit: 'mm',
          detail: `begin with ${size(outcome)}; strain ${formatPlain(outcome.strain, 2)}`,
          grade: owned ? 'right' : 'no',
          owned,
        }),
      ),
      missing: null,
      checks: textureChecks(asked, asked.alloy),
      working: log,
      picture: {
        kind: 'steps',
        steps: sorted.map(({ way, outcome, owned }) => ({
          step: `${way.title}${owned || !way.needs ? '' : `, needs a ${NEEDS[way.needs]}`}`,
          say: `Begin with ${size(outcome)}. ${way.costs}`,
        })),
      },
    }
  },
})
