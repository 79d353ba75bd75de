'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useMemo } from 'react'
import { useWatch } from 'react-hook-form'
import { ORDER_SCHOOLS } from '@/core/assembly'
import { type Settings, settingsSchema } from '@/core/entries'
import type { MethodChoice } from '@/core/forms'
import { ALLOY_TITLES } from '@/core/metals'
import { useTold } from '../acting/use-told'
import { EntryChoice, EntrySize, EntryText } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { useIsHere } from '../shared/use-is-here'
import { useWorkshop } from '../shared/workshop-context'
import { type SettingGroup, SettingGroups } from './setting-groups'

/** What is kept with the settings and entered elsewhere, or here in a way of its own. */
const NOT_PLAIN = [
  'figures',
  'pricesOn',
  'trials',
  'recordAnswers',
  'scaleCheck',
  'greeted',
  'trialJobId',
  'methods',
  'orderSchools',
] as const satisfies readonly (keyof Settings)[]

type Plain = { [K in Exclude<keyof Settings, (typeof NOT_PLAIN)[number]>]: string }
/** What can be entered here; own figures are set in the Tables, beside their presets. */
type Typed = Plain & {
  readonly methods: Record<string, string>
  readonly orderSchools: Record<string, string>
}

function typedOf(settings: Settings, methods: readonly MethodChoice[]): Typed {
  const { methods: own, orderSchools } = settings
  const plain = Object.entries(settings).filter(([key]) => !NOT_PLAIN.some((other) => other === key))
  const words = Object.fromEntries(plain.map(([key, value]) => [key, String(value)])) as Plain
  const order = Object.fromEntries(ORDER_SCHOOLS.map(({ id, usual }) => [id, orderSchools[id] ?? usual]))
  return {
    ...words,
    orderSchools: order,
    methods: Object.fromEntries(methods.map((choice, i) => [`m${i}`, own[choice.key] ?? choice.preset])),
  }
}

function OrderAnswer({ school }: { readonly school: (typeof ORDER_SCHOOLS)[number] }) {
  const options = Object.fromEntries(
    Object.entries(school.answers).map(([id, words]) => [id, id === school.usual ? `${words} (usual)` : words]),
  )
  return (
    <>
      <EntryChoice name={`orderSchools.${school.id}`} label={school.question} options={options} width={200} />
      <Typography variant="body2" sx={{ pb: 0.5 }}>
        The others: {school.changes}
      </Typography>
    </>
  )
}

function Method({ choice, at }: { readonly choice: MethodChoice; readonly at: number }) {
  const { methods } = useWatch() as Typed
  const chosen = choice.options.find((option) => option.id === methods[`m${at}`])
  const [first = '', ...more] = choice.forms
  return (
    <>
      <EntryChoice
        name={`methods.m${at}`}
        label={`${choice.label}, ${(choice.forms[0] ?? '').toLowerCase()}`}
        options={Object.fromEntries(choice.options.map(({ id, title }) => [id, title]))}
        width={200}
      />
      <Typography variant="body2" sx={{ pb: 0.5 }}>
        {chosen?.why}{' '}
        <i>
          For{' '}
          {more.length === 0
            ? first.toLowerCase()
            : more.length < 4
              ? choice.forms.join(', ').toLowerCase()
              : `${first.toLowerCase()} and ${more.length} more`}
          .
        </i>
      </Typography>
    </>
  )
}

function groupsOf(isDemo: boolean, methods: readonly MethodChoice[]): readonly SettingGroup[] {
  return [
    {
      title: 'Workshop',
      settings: [
        { words: 'name', field: <EntryText name="workshopName" label="Name" /> },
        { words: 'usual metal alloy', field: <EntryChoice name="defaultAlloy" label="Usual metal" options={ALLOY_TITLES} /> },
        { words: 'currency of prices money', field: <EntryText name="currency" label="Currency of prices" /> },
      ],
    },
    {
      title: 'Units and sizes',
      about: 'However they are shown, a size can be typed in any of them.',
      settings: [
        {
          words: 'sizes shown in mm inches',
          field: <EntryChoice name="units" label="Sizes shown in" options={{ both: 'mm and inches', mm: 'mm', inch: 'inches' }} />,
        },
        {
          words: 'ring sizes us uk iso',
          field: <EntryChoice name="ringSystem" label="Ring sizes" options={{ US: 'US', UK: 'UK', ISO: 'ISO' }} />,
        },
        {
          words: 'gauge systems number b&s swg msg',
          field: (
            <EntryChoice name="gaugeSystem" label="A bare gauge number is" options={{ 'B&S': 'B&S', SWG: 'SWG', MSG: 'MSG (steel)' }} />
          ),
        },
      ],
    },
    {
      title: 'Saw and sheet',
      settings: [
        { words: 'saw kerf blade', field: <EntrySize name="kerfMm" label="Saw kerf" unit="mm" /> },
        { words: 'margin to the edge of the sheet', field: <EntrySize name="marginMm" label="Margin to the sheet’s edge" unit="mm" /> },
      ],
    },
    {
      title: 'The working day',
      about: 'What the day at the bench is planned by.',
      settings: [
        { words: 'working hours from morning day', field: <EntryText name="workFrom" label="Work from" /> },
        { words: 'working hours until evening day', field: <EntryText name="workTo" label="Work until" /> },
        { words: 'break lunch from', field: <EntryText name="breakFrom" label="Break from" /> },
        { words: 'break lunch until', field: <EntryText name="breakTo" label="Break until" /> },
        {
          words: 'working days week weekend',
          field: (
            <EntryChoice
              name="workDays"
              label="Working days"
              options={{
                'mon-fri': 'Monday to Friday',
                'mon-sat': 'Monday to Saturday',
                'tue-sat': 'Tuesday to Saturday',
                'every-day': 'every day',
              }}
            />
          ),
        },
        { words: 'torches how many', field: <EntryText name="torches" label="Torches" /> },
        { words: 'pickle pot trays at once', field: <EntryText name="potTrays" label="Trays in the pickle pot at once" /> },
        { words: 'tumbler trays at once', field: <EntryText name="tumblerTrays" label="Trays in the tumbler at once" /> },
      ],
    },
    {
      title: 'Torch',
      settings: [
        { words: 'torch power watts heat soldering', field: <EntrySize name="torchW" label="The torch brings in" unit="W" /> },
        {
          words: 'flux paste borax liquid soldering',
          field: (
            <EntryChoice
              name="flux"
              label="Flux"
              options={{ 'white-paste': 'white fluoride paste', borax: 'borax', liquid: 'self-pickling liquid' }}
            />
          ),
        },
      ],
    },
    {
      title: 'Paper',
      settings: [
        { words: 'paper a4 letter print', field: <EntryChoice name="paper" label="Paper" options={{ A4: 'A4', Letter: 'Letter' }} /> },
        {
          words: 'check bar printer true size scale',
          field: (
            <EntrySize
              name="checkBarMm"
              label="The check bar measured"
              unit="mm"
              readAs={() => '50 if your printer is true. Print a layout, measure its bar with a rule, and enter what it reads.'}
            />
          ),
        },
      ],
    },
    ...(isDemo
      ? []
      : [
          {
            title: 'Instruments',
            settings: [
              {
                words: 'simulated instruments calipers practice',
                field: <EntryChoice name="practice" label="Simulated instruments" options={{ false: 'off', true: 'on, for practice' }} />,
              },
            ],
          },
        ]),
    {
      title: 'Order of work',
      about: 'Where good smiths differ on what comes first. It holds for every route; a piece may have answers of its own.',
      settings: ORDER_SCHOOLS.map((school) => ({
        words: `${school.id} ${school.question} ${Object.values(school.answers).join(' ')} ${school.changes}`,
        field: <OrderAnswer school={school} />,
      })),
    },
    {
      title: 'Methods',
      about: 'What a new piece starts with. Each piece can have another; those that are there stay as they are.',
      settings: methods.map((choice, at) => ({
        words: `${choice.label} ${choice.options.map((option) => option.title).join(' ')} ${choice.forms.join(' ')}`,
        field: <Method choice={choice} at={at} />,
      })),
    },
  ]
}

/** So many groups are there at once; those further down follow once the page is alive. */
const FIRST_GROUPS = 3

interface PreferencesProps {
  readonly settings: Settings
  readonly methods: readonly MethodChoice[]
  /** What is looked for among the settings. */
  readonly looking: string
}

/** How the workshop works, group by group, in one form. */
export function Preferences({ settings, methods, looking }: PreferencesProps) {
  const told = useTold()
  const { settingsRevision, name } = useWorkshop()
  const isHere = useIsHere()
  const groups = useMemo(() => groupsOf(name === 'demo', methods).slice(0, isHere ? undefined : FIRST_GROUPS), [name, methods, isHere])
  async function send({ methods: chosen, orderSchools: answers, ...typed }: Typed) {
    const orderSchools = Object.fromEntries(ORDER_SCHOOLS.flatMap(({ id, usual }) => (answers[id] === usual ? [] : [[id, answers[id]]])))
    const own = Object.fromEntries(
      methods.flatMap((choice, at) => {
        const id = chosen[`m${at}`]
        return id === undefined || id === choice.preset ? [] : [[choice.key, id]]
      }),
    )
    const before = Object.fromEntries(
      [...Object.keys(typed), 'methods', 'orderSchools'].map((name) => [name, settings[name as keyof Settings]]),
    )
    return told(
      'saveSettings',
      { ...typed, methods: own, orderSchools },
      { revision: settingsRevision, text: 'The settings are saved.', back: before },
    )
  }
  return (
    <EntryForm<Typed>
      key={settingsRevision}
      label="Preferences"
      schema={settingsSchema}
      values={typedOf(settings, methods)}
      send={send}
      onDone={() => undefined}
      submit="Save"
    >
      <Box sx={{ columnCount: { xs: 1, lg: 2 }, columnGap: 2.5 }}>
        <SettingGroups groups={groups} typed={looking} />
      </Box>
    </EntryForm>
  )
}
