import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLOY_IDS, ALLOYS } from '../metals/alloys'
import { SOLDER_IDS, SOLDERS } from '../metals/solders'
import type { OwnTool } from '../toolwall/tools'
import { evaluateFormula } from '../working/formula'
import type { Advice } from './contract'
import { ADVISERS, findAdviser } from './registry'

function advise(id: string, input: Record<string, unknown>): Advice {
  const run = findAdviser(id)?.run(input)
  if (!run?.ok) throw new Error(`${id}: ${JSON.stringify(run)}`)
  return run.advice
}

describe.each(ADVISERS)('$id', (adviser) => {
  it('answers its own example, in plain data, with a reason', () => {
    const { advice } = adviser.run(adviser.example) as { advice: Advice }
    expect(advice.answer.length).toBeGreaterThan(3)
    expect(advice.reason.length).toBeGreaterThan(10)
    expect(structuredClone(advice)).toEqual(advice)
    expect(JSON.parse(JSON.stringify(advice))).toEqual(advice)
  })
  it('shows the number it used: every formula comes out as written', () => {
    const { advice } = adviser.run(adviser.example) as { advice: Advice }
    for (const step of advice.working.filter((item) => item.kind === 'formula'))
      expect(evaluateFormula(step.formula, Object.fromEntries(step.given.map((item) => [item.symbol, item.value])))).toBe(step.value)
  })
  it('never throws, and names the field of what it refuses', () => {
    const value = fc.oneof(fc.string({ maxLength: 12 }), fc.double(), fc.constant(undefined), fc.constant(null), fc.constant([]))
    const record = fc.record(Object.fromEntries(adviser.fields.map((field) => [field.name, value])))
    fc.assert(
      fc.property(record, (input) => {
        const run = adviser.run(input)
        if (!run.ok) for (const issue of run.issues) expect(issue.message.length).toBeGreaterThan(3)
      }),
      { numRuns: 300 },
    )
    expect(adviser.run('x')).toMatchObject({ ok: false })
  })
  it('refuses a field of another name', () => expect(adviser.run({ ...adviser.example, nonsense: 1 })).toMatchObject({ ok: false }))
})

const drill = (label: string, nominal: number): OwnTool => ({ kind: 'drill', label, nominal })

describe('drill', () => {
  it('says what would be right and how far the nearest of one’s own is off', () => {
    const { missing, answer, picks } = advise('drill', { pinMm: '14 ga', owned: [drill('#51', 1.7018), drill('#60', 1.016)] })
    expect(missing).toBe('Use a 1.65 mm bit; the closest you have is #51, 0.07 mm over.')
    expect(answer).toBe('#51, 1.702 mm')
    expect(picks.filter((pick) => pick.owned).map((pick) => pick.grade)).toEqual(['usable', 'no'])
  })
  it('takes one’s own bit where it lies in the band, by its measured size', () => {
    const owned = [{ ...drill('1.65', 1.65), measured: 1.67 }]
    expect(advise('drill', { pinMm: 1.64, owned })).toMatchObject({ missing: null, answer: '1.65, 1.67 mm' })
  })
  it('never calls a hole smaller than the pin a clearance hole', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 6, noNaN: true }), fc.constantFrom('snug', 'free', 'solder-pin'), (pinMm, fit) => {
        for (const pick of advise('drill', { pinMm, fit }).picks.filter((item) => item.grade !== 'no'))
          expect(pick.value).toBeGreaterThanOrEqual(pinMm - 1e-9)
      }),
    )
  })
  it('a post of 1.2 mm free wants 1.3 to 1.35 (preset, low)', () =>
    expect(advise('drill', { pinMm: 1.2, fit: 'free' }).picks.find((pick) => pick.grade === 'right')?.value).toBeCloseTo(1.3208, 3))
  it('has no advice for a wire with only a label', () =>
    expect(advise('drill', { pinMm: 1, owned: [{ kind: 'drill', label: 'tip 7' }] }).missing).toBeNull())
})

describe('blade', () => {
  it('aims at two to three teeth, over the whole range where a blade has them', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.58, max: 2.6, noNaN: true }), (thicknessMm) => {
        const best = advise('blade', { thicknessMm }).picks.find((pick) => pick.grade === 'right')
        expect(best?.value).toBeGreaterThanOrEqual(2)
        expect(best?.value).toBeLessThanOrEqual(3)
      }),
    )
  })
  it('thin sheet: tilt it, or back it', () => {
    const { checks } = advise('blade', { thicknessMm: 0.4 })
    expect(checks.find((check) => check.code === 'few-teeth')?.message).toMatch(/tilt the sheet about 46°/)
    expect(advise('blade', { thicknessMm: 0.4, tiltDeg: 45 }).picks[0]?.value).toBeCloseTo(1.98, 2)
  })
  it('takes one’s own packet where it serves', () => {
    const owned = [{ kind: 'blade', label: 'packet', nominal: 0.24, count: 3, facts: { widthMm: 0.48, teethPerCm: 24 } }]
    expect(advise('blade', { thicknessMm: 1, owned }).answer).toMatch(/^packet blade: 2.4 teeth/)
    expect(advise('blade', { thicknessMm: 1, owned: [{ ...owned[0], count: 0 }] }).answer).not.toMatch(/^packet/)
  })
})

describe('abrasive', () => {
  it('sheet with file marks: P220, P400, P800, P1500, compound (common practice, no source)', () =>
    expect(advise('abrasive', { from: 'file marks', to: 'bright' }).answer).toBe('P220 → P400 → P800 → P1500 → cut compound (tripoli)'))
  it.each([
    [['P220', 'P600'], 2.64],
    [['P400', 'P1200'], 2.29],
  ])('%s skips a grit', (steps, ratio) => {
    const check = advise('abrasive', { steps }).checks.find((item) => item.code === 'skips-a-grit')
    expect(check?.actual?.value).toBeCloseTo(ratio, 2)
  })
  it('P240, P400, P600, P1200 is gentle and whole', () =>
    expect(advise('abrasive', { steps: ['P240', 'P400', 'P600', 'P1200'] }).checks.map((check) => check.code)).toEqual(['turn-and-rinse']))
  it('a ladder of one’s own never skips silently', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.double({ min: 8, max: 80, noNaN: true }), { minLength: 1, maxLength: 6 }), (grains) => {
        const owned = grains.map((nominal, i) => ({ kind: 'abrasive', label: `own ${i}`, nominal }))
        const { picks, checks } = advise('abrasive', { from: 'P180', to: 'satin', owned })
        const micron = [82, ...picks.map((pick) => pick.value)]
        const skips = micron.slice(1).filter((value, i) => (micron[i] ?? 0) / value > 2.002).length
        expect(checks.filter((check) => check.code === 'skips-a-grit')).toHaveLength(skips)
        expect(micron).toEqual([...micron].sort((a, b) => b - a))
      }),
    )
  })
})

describe('solder', () => {
  it('four joints on sterling fall hard, medium, easy, extra easy', () =>
    expect(advise('solder', { alloy: 'sterling-925', jointCount: 4 }).picks.map((pick) => pick.value)).toEqual([788, 738, 718, 652]))
  it('hard on sterling is a narrow margin, not forbidden; IT is left out', () => {
    const { checks } = advise('solder', { alloy: 'sterling-925', jointCount: 4 })
    expect(checks.find((check) => check.code === 'narrow-margin')).toMatchObject({ level: 'warn', actual: { value: 14 } })
    expect(checks.find((check) => check.code === 'solder-near-solidus')?.message).toContain('IT')
  })
  it('one joint takes the highest that keeps clear of the metal, and a second metal in the heat lowers it', () => {
    const one = (more: object) => advise('solder', { jointCount: 1, ...more }).picks[0]?.value
    expect(one({ alloy: 'fine-silver' })).toBe(808)
    expect(one({ alloy: 'fine-silver', otherAlloy: 'sterling-925' })).toBe(738)
  })
  it('in brass two joints lie far apart, neither seam melting under the next', () => {
    const { picks } = advise('solder', { alloy: 'yellow-brass-c260', jointCount: 2 })
    const [first, second] = picks.map((pick) => pick.value)
    expect((first ?? 0) - (second ?? 0)).toBeGreaterThanOrEqual(100)
    expect(915 - (first ?? 0)).toBeGreaterThanOrEqual(100)
  })
  it('the second of two joints on sterling is 56 or 65 (common practice, no source)', () =>
    expect([718, 652]).toContain(advise('solder', { alloy: 'sterling-925', jointCount: 2 }).picks[1]?.value))
  const soldered = ALLOY_IDS.filter((id) => ALLOYS[id].behaviour.solders)
  it.each(soldered)('no way down that works has a larger least margin, on %s (every way tried)', (alloy) => {
    const solders = SOLDER_IDS.map((id) => SOLDERS[id]).filter((solder) => solder.family === 'percent')
    for (const jointCount of [2, 3]) {
      const least = (flows: readonly number[]) =>
        Math.min(...flows.map((flow) => ALLOYS[alloy].solidusC - flow), ...flows.slice(1).map((flow, i) => (flows[i] ?? 0) - flow))
      const chosen = advise('solder', { alloy, jointCount }).picks.map((pick) => pick.value)
      const ways = solders.flatMap((a) => solders.flatMap((b) => (jointCount === 2 ? [[a, b]] : solders.map((c) => [a, b, c]))))
      for (const way of ways) {
        const flows = way.map((solder) => solder.liquidusC)
        const gaps = flows.slice(1).map((flow, i) => (flows[i] ?? 0) - flow)
        const melts = way.slice(1).some((solder, i) => solder.liquidusC - (way[i]?.solidusC ?? 0) > 40)
        if (gaps.every((gap) => gap >= 20) && !melts && flows[0] !== undefined && flows[0] <= ALLOYS[alloy].solidusC - 10)
          expect(least(chosen)).toBeGreaterThanOrEqual(least(flows))
      }
    }
  })
  it('strictly a seam stays solid under the next', () => {
    const { picks } = advise('solder', { alloy: 'sterling-925', jointCount: 3, gap: 'strict' })
    expect(picks.map((pick) => pick.value)).toEqual([788, 718, 652])
  })
  it('a fifth joint repeats with support', () =>
    expect(
      advise('solder', { alloy: 'sterling-925', jointCount: 5 }).checks.find((check) => check.code === 'same-again')?.message,
    ).toContain('binding wire'))
  it('the British grades need 20 degrees too: the third is close and says so', () => {
    const { picks, checks } = advise('solder', { alloy: 'sterling-925', jointCount: 3, family: 'british' })
    expect(picks.map((pick) => pick.value)).toEqual([778, 723, 709])
    expect(checks.some((check) => check.code === 'close-flows')).toBe(true)
  })
  it.each(ALLOY_IDS.filter((id) => !soldered.includes(id)))('on %s it names a cold way instead', (alloy) =>
    expect(findAdviser('solder')?.run({ alloy, jointCount: 1 })).toMatchObject({
      ok: false,
      issues: [{ message: expect.stringContaining('rivets, tabs or glue') }],
    }),
  )
  it.each(soldered)('on %s no joint ever flows above the one before, nor within 10 degrees of the metal', (alloy) => {
    for (const jointCount of [1, 2, 3, 4, 5, 6, 7, 8]) {
      const flows = advise('solder', { alloy, jointCount }).picks.map((pick) => pick.value)
      expect(flows).toHaveLength(jointCount)
      expect(flows).toEqual([...flows].sort((a, b) => b - a))
    }
  })
})

describe('strike', () => {
  it.each([
    ['brass-hammer', 'letter-stamp', 'ok'],
    ['tool-hammer', 'dapping-punch', 'ok'],
    ['steel-hammer', 'letter-stamp', 'warn'],
    ['planishing-hammer', 'disc-cutter', 'warn'],
    ['rawhide-mallet', 'letter-stamp', 'note'],
    ['steel-hammer', 'hammer-face', 'stop'],
    ['steel-hammer', 'hard-steel-sheet', 'stop'],
    ['planishing-hammer', 'soft-sheet', 'ok'],
    ['steel-hammer', 'anvil', 'warn'],
    ['wooden-mallet', 'wooden-punch', 'ok'],
  ])('%s on %s: %s', (hammer, on, level) => expect(advise('strike', { hammer, on }).checks[0]?.level).toBe(level))
  it('a hammer measured soft is judged by what was measured', () => {
    const owned = [{ kind: 'hammer', label: 'old hammer', measured: 25, facts: { face: 'steel-hammer' } }]
    expect(advise('strike', { hammer: 'steel-hammer', on: 'letter-stamp', owned }).checks[0]?.level).toBe('ok')
  })
})

describe('mandrel', () => {
  const owned = [
    {
      kind: 'mandrel',
      label: 'worn mandrel',
      facts: {
        marks: [
          { mark: 'US 6', diameterMm: 16.6 },
          { mark: 'US 7', diameterMm: 17.4 },
        ],
      },
    },
  ]
  it('reads by its own calibration, not by its marks', () => {
    expect(advise('mandrel', { insideDiameterMm: 16.8, owned }).answer).toBe('worn mandrel: 25 % of the way from US 6 to US 7')
    expect(advise('mandrel', { insideDiameterMm: 17.4, owned }).answer).toBe('worn mandrel: at US 7')
  })
  it('says where it ends', () =>
    expect(advise('mandrel', { insideDiameterMm: 20, owned }).picks[0]?.detail).toContain('larger than its last mark'))
})

describe('stamp line', () => {
  it('stops a line that is too long, and counts measured letters', () => {
    expect(advise('stamp-line', { text: 'NIGHT MAIL', heightMm: 3, roomMm: 20 }).checks[0]).toMatchObject({
      level: 'stop',
      code: 'line-too-long',
    })
    const owned = [{ kind: 'stamp', label: 'set', nominal: 2, facts: { widths: { A: 2 } } }]
    expect(advise('stamp-line', { text: 'AA', heightMm: 2, roomMm: 20, owned }).answer).toContain('4 mm long')
  })
})

describe('own figures', () => {
  it('win over the presets, where they are given and nowhere else', () => {
    expect(advise('drill', { pinMm: 1, fit: 'snug', figures: { 'fit-snug-least': 0.1, 'fit-snug-most': 0.2 } }).answer).toBe('1.1 mm')
    expect(advise('blade', { thicknessMm: 1, figures: { 'teeth-aim-least': 1, 'teeth-aim-most': 1.3 } }).answer).toMatch(
      /^6 blade: 1.3 teeth|^7 blade: 1.2|^8 blade: 1.1/,
    )
    expect(
      advise('abrasive', { steps: ['P220', 'P600'], figures: { 'grit-skip': 3 } }).checks.some((check) => check.code === 'skips-a-grit'),
    ).toBe(false)
    expect(
      advise('solder', { alloy: 'sterling-925', jointCount: 3, figures: { 'solder-gap': 60 } }).picks.map((pick) => pick.value),
    ).toEqual([788, 718, 652])
    expect(advise('solder', { alloy: 'sterling-925', jointCount: 3, figures: { nonsense: 40 } }).picks.map((pick) => pick.value)).toEqual([
      738, 718, 652,
    ])
  })
})

describe('compare', () => {
  const punch = (label: string, sizes: Partial<OwnTool>): OwnTool => ({ kind: 'punch', label, ...sizes })
  const owned = [punch('domer 4', { nominal: 6, measured: 5.5 }), punch('template 9', {}), punch('ball 6', { nominal: 6 })]
  it('a maker’s label is never turned into a size: it is refused until measured (common practice, no source)', () => {
    const run = findAdviser('compare')?.run({ first: 'domer 4', second: 'template 9', owned })
    expect(run).toEqual({
      ok: false,
      issues: [
        {
          path: 'secondMm',
          message: 'template 9: only the maker’s label is known, and a label is not a size. Measure it and enter the size to compare.',
        },
      ],
    })
    expect(findAdviser('compare')?.run({ first: 'tip 2', second: 'ball 6', owned })).toMatchObject({
      ok: false,
      issues: [{ path: 'firstMm', message: expect.stringContaining('tip 2: it is not on the tool wall') }],
    })
  })
  it('what is measured wins over what it is sold as, and what is typed here over both', () => {
    expect(advise('compare', { first: 'Domer 4', second: 'ball 6', owned }).answer).toBe('ball 6 is larger by 0.5 mm')
    expect(advise('compare', { first: 'domer 4', second: 'ball 6', secondMm: 5.2, owned }).answer).toBe('domer 4 is larger by 0.3 mm')
    expect(advise('compare', { first: 'template 9', firstMm: 6, second: 'ball 6', owned }).answer).toBe('the same size')
  })
  it('what is known in another unit is not compared', () => {
    const hammer: OwnTool = { kind: 'hammer', label: 'planisher', nominal: 52 }
    const soft: OwnTool = { kind: 'hammer', label: 'raiser', nominal: 45 }
    expect(findAdviser('compare')?.run({ first: 'planisher', second: 'ball 6', owned: [...owned, hammer] })).toMatchObject({ ok: false })
    const { answer, picture } = advise('compare', { first: 'planisher', second: 'raiser', owned: [hammer, soft] })
    expect([answer, picture.kind]).toEqual(['planisher is harder by 7 HRC', 'ladder'])
  })
})

describe('a colour run', () => {
  it('is as many dips as asked, or as usual where nothing is said', () => {
    const dips = (input: Record<string, unknown>) => {
      const { picture } = advise('colour-run', input)
      return picture.kind === 'steps' ? picture.steps.filter(({ step }) => step.startsWith('dip')).length : 0
    }
    expect(dips({ agent: 'sulphurated-potash', runs: 'usual' })).toBe(3)
    expect(dips({ agent: 'sulphurated-potash', runs: 'two' })).toBe(2)
  })
  it('is stopped beside pickle, on aluminium and for verdigris on the skin', () => {
    const stops = (input: Record<string, unknown>) =>
      advise('colour-run', input)
        .checks.filter(({ level }) => level === 'stop')
        .map(({ code }) => code)
    expect(stops({ pickle: 'yes' })).toEqual(['forbidden-chemistry'])
    expect(stops({ alloy: 'aluminium-1100' })).toEqual(['no-colour'])
    expect(stops({ agent: 'verdigris', worn: 'yes' })).toEqual(['not-worn'])
    expect(stops({ alloy: 'sterling-925' })).toEqual([])
  })
})

describe('texture', () => {
  const asked = { look: 'pattern', thicknessMm: 0.9, lengthMm: 58, widthMm: 14, depthMm: 0.12, mill: 'yes' }
  const beginsWith = (name: string) => {
    const detail = advise('texture', asked).picks.find((pick) => pick.name === name)?.detail ?? ''
    return [...detail.matchAll(/[\d.]+/g)].map(Number)
  }
  it.each(['rolled with a pattern plate', 'hammered'])('%s begins with as much metal as it ends with', (name) => {
    const [long = 0, wide = 0, after = 0] = beginsWith(name)
    expect(Math.abs((long * wide * 0.9) / (58 * 14 * after) - 1)).toBeLessThan(0.01)
    expect(after).toBeLessThan(0.9)
    expect(long).toBeLessThan(58)
  })
  it('rolls in length alone, and by plane strain (2/√3 · ln)', () => {
    const [, wide, after = 0, strain = 0] = beginsWith('rolled with a pattern plate')
    expect(wide).toBe(14)
    expect(strain).toBeCloseTo((2 / Math.sqrt(3)) * Math.log(0.9 / after), 1)
  })
  it('without a mill names another way first, and says what is missing', () => {
    const { answer, picture } = advise('texture', { ...asked, mill: 'no' })
    expect(answer).toContain('Hammered: begin with')
    const steps = picture.kind === 'steps' ? picture.steps.map(({ step }) => step) : []
    expect(steps.at(-1)).toMatch(/needs a (rolling mill|press and its die)/)
  })
  it('stops on a thin wear layer, and warns of a relief over half the thickness', () => {
    const codes = (more: Record<string, unknown>) => advise('texture', { ...asked, ...more }).checks.map(({ code }) => code)
    expect(codes({ alloy: 'gold-filled' })).toContain('thin-layer')
    expect(codes({ depthMm: 0.6 })).toContain('deep-texture')
    expect(codes({})).toEqual(['texture-first'])
  })
})

describe('the middle of a disc', () => {
  it('is found from a chord and its height, for any of a circle (r² = (c/2)² + (r − h)²)', () =>
    fc.assert(
      fc.property(fc.double({ min: 2, max: 200, noNaN: true }), fc.double({ min: 0.05, max: 0.95, noNaN: true }), (radius, share) => {
        const heightMm = 2 * radius * share
        const chordMm = 2 * Math.sqrt(radius ** 2 - (radius - heightMm) ** 2)
        if (chordMm < 0.5 || heightMm < 0.05) return
        const { working } = advise('centre', { chordMm, heightMm })
        expect(Math.abs((working[0]?.value ?? 0) / radius - 1)).toBeLessThan(1e-9)
        expect(Math.abs((working.at(-1)?.value ?? 0) - (radius - heightMm))).toBeLessThan(1e-9 * radius)
      }),
      { numRuns: 200 },
    ))
  it('says that it is not round where two chords disagree, and asks for the height of the second', () => {
    const one = { chordMm: 20, heightMm: 4 }
    expect(advise('centre', { ...one, secondChordMm: 20, secondHeightMm: 4.4 }).checks.map(({ code }) => code)).toEqual(['out-of-round'])
    expect(advise('centre', { ...one, secondChordMm: 16, secondHeightMm: 14.5 - Math.sqrt(14.5 ** 2 - 64) }).checks).toEqual([])
    expect(findAdviser('centre')?.run({ ...one, secondChordMm: 20 })).toMatchObject({ ok: false })
  })
})
