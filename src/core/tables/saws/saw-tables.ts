import { STANDARD_DRILLS } from '../drills/drills'
import { gaugeName, gaugesOf, gaugeToMm } from '../gauges/gauges'
import { defineTable } from '../table'
import { BLADES, type Blade, kerfOfMm, pilotMm, teethLimits } from './blades'

const PRESET_TEETH = teethLimits({})

/** Thickness in mm at which a blade has this many teeth in the metal. */
function thicknessFor(blade: Blade, teeth: number): number {
  return (10 * teeth) / blade.teethPerCm
}

function gaugeRange(blade: Blade): string {
  const [low, high] = [thicknessFor(blade, PRESET_TEETH.aimLeast), thicknessFor(blade, PRESET_TEETH.aimMost)]
  const inside = gaugesOf('B&S').filter((gauge) => {
    const mm = gaugeToMm('B&S', gauge) ?? 0
    return mm >= low && mm <= high
  })
  const [thick, thin] = [inside[0], inside.at(-1)]
  return thick === undefined || thin === undefined ? '' : `${gaugeName(thick)} to ${gaugeName(thin)}`
}

function pilotDrill(blade: Blade): string {
  const passing = STANDARD_DRILLS.filter((drill) => drill.series === 'number' && drill.diameterMm >= pilotMm(blade))
  return passing.at(-1)?.name ?? ''
}

function typed({ name }: Blade): string[] {
  const noughts = /^(\d)\/0$/.exec(name)
  return [name, `blade ${name}`, `${name} blade`, ...(noughts ? ['0'.repeat(Number(noughts[1]))] : [])]
}

export const sawTables = [
  defineTable({
    id: 'saw-blade',
    title: 'Saw blades',
    shelf: 'saws',
    about:
      'Two to three teeth in the metal; under one and a half a blade snags, over four it clogs. The pilot hole must pass the blade’s diagonal: printed charts follow its width and are tight.',
    unit: 'mm',
    valueLabel: 'thick, mm',
    valueDigits: 2,
    columns: [
      { key: 'width', label: 'wide, mm', unit: 'mm', digits: 2 },
      { key: 'teeth', label: 'teeth/cm' },
      { key: 'perInch', label: 'teeth/in', digits: 0 },
      { key: 'from', label: 'sheet from, mm', unit: 'mm', digits: 2 },
      { key: 'to', label: 'to, mm', unit: 'mm', digits: 2 },
      { key: 'gauge', label: 'B&S' },
      { key: 'kerf', label: 'kerf, mm', unit: 'mm', digits: 2 },
      { key: 'pilot', label: 'pilot, mm', unit: 'mm', digits: 3 },
      { key: 'drill', label: 'pilot drill' },
      { key: 'printed', label: 'printed (tight)' },
    ],
    source: 'bench-practice',
    confidence: 'medium',
    ownership: 'preset',
    rows: () =>
      BLADES.map((blade) => ({
        id: blade.name.replace('/', '-'),
        name: `${blade.name} blade`,
        value: blade.thicknessMm,
        cells: {
          width: blade.widthMm,
          teeth: blade.teethPerCm,
          perInch: blade.teethPerCm * 2.54,
          from: thicknessFor(blade, PRESET_TEETH.aimLeast),
          to: thicknessFor(blade, PRESET_TEETH.aimMost),
          gauge: gaugeRange(blade),
          kerf: kerfOfMm(blade, {}),
          pilot: pilotMm(blade),
          drill: pilotDrill(blade),
          printed: blade.printedPilot,
        },
        says: typed(blade),
      })),
  }),
] as const
