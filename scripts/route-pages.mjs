/** Pages of the order of work, made from the registries: rules, methods, kits and the usual routes of forms. */

const MADE = 'Made from the registry by `npm run docs`; do not edit.'

function clauseText(shape, clause) {
  if (shape === 'needs') return `${clause.of}: \`${clause.asks}\``
  if (shape === 'before')
    return `${clause.first} before ${clause.next}${clause.mode === 'must' || clause.mode === 'both' ? ', which asks for it' : ''}`
  if (shape === 'within')
    return `${clause.first} to ${clause.next}: ${clause.least === undefined ? `at most ${clause.most}` : `at least ${clause.least}`} min`
  if (shape === 'inside') return `${clause.of}: ${clause.order.join(' → ')}`
  if (shape === 'falls') return `\`${clause.param}\` falls along ${clause.of}`
  if (shape === 'flow')
    return `${clause.of}${clause.earlier ? ` after ${clause.earlier.replaceAll('|', ' or ')}` : ''}: the solder flows lower`
  return `${clause.of}: what is attached stands the heat (${clause.holds.join(', ')})`
}

const inTable = (text) => text.replaceAll('|', '\\|')

function ruleRow({ id, shape, level, schools = [], under = [], clauses, says, remedy }) {
  const levels = [level, ...schools.map((item) => `${item.school} ${item.level}${item.of ? ` (${item.of})` : ''}`)]
  const falls = under.length > 0 ? ` Under ${under.join(', ')}.` : ''
  return `| ${id} | ${inTable(clauses.map((clause) => clauseText(shape, clause)).join('; '))} | ${levels.join('; ')} | ${says}${falls} | ${remedy} |`
}

const ORDERING = [
  'Of up to eight steps every order is looked at: the one with the least that only a move puts right, then the least missing, then the',
  'fewest moved. A longer route is gone through step by step: next comes the earliest step that breaks nothing now and leaves none that',
  'could not be done rightly later. Up to eighty steps, single moves are then tried for as long as they leave less wrong. What is missing is',
  'proposed after that, never slipped in. Pinned steps stay where they are; a route that is in order stays as it is, and ordering it again',
  'changes nothing.',
]

/** The rules of the order of work, and the questions that change them. */
export function rulesPage({ RULES, ORDER_SCHOOLS }) {
  return [
    '# Rules of the order of work',
    '',
    `${MADE} Common practice, no source. What each rule watches stands in the notation of the operations; \`@\` names a group of them.`,
    '',
    '| rule | watches | level | why | put right by |',
    '| --- | --- | --- | --- | --- |',
    ...RULES.map(ruleRow),
    '',
    '## How a route is put in order',
    '',
    ...ORDERING,
    '',
    '## Methods that change it',
    '',
    '| question | usual | others | what changes |',
    '| --- | --- | --- | --- |',
    ...ORDER_SCHOOLS.map(({ id, question, answers, usual, changes }) => {
      const others = Object.entries(answers).flatMap(([letter, text]) => (letter === usual ? [] : [`${letter}: ${text}`]))
      return `| ${id} ${question} | ${usual}: ${answers[usual]} | ${others.join('; ')} | ${changes} |`
    }),
    '',
  ].join('\n')
}

const member = ({ thing, place }) => (place ? `${thing}.${place}` : thing)
const oneLine = (text) => text.trim().replace(/\s+/g, ' ')

function kitSection({ title, id, parts, others, joints, steps }, schoolsIn) {
  const notes = ({ count, set, rivet, film, bought }) =>
    [count ? `${count} of it` : '', set ? 'a set' : '', rivet ? 'rivet' : '', film ? 'with film' : '', bought ? `bought ${bought}` : '']
      .filter(Boolean)
      .join(', ')
  const partText = (part) => `${part.id} (${[part.form, notes(part)].filter(Boolean).join(', ')})`
  const jointText = ({ id: name, kind, members, role, solder }) =>
    `${name}: ${kind} ${members.map(member).join(' to ')}${role ? `, ${role}` : ''}${solder ? `, ${solder}` : ''}`
  return [
    `## ${title} \`${id}\``,
    '',
    `- Parts: ${parts.map(partText).join('; ')}`,
    ...(others.length > 0 ? [`- Others: ${others.map(({ id: name, kind }) => `${name} (${kind})`).join('; ')}`] : []),
    ...(joints.length > 0 ? [`- Joints: ${joints.map(jointText).join('; ')}`] : []),
    `- Steps change under: ${schoolsIn(steps).join(', ') || 'nothing'}`,
    '',
    oneLine(steps),
    '',
  ]
}

/** The kits, and the usual routes of forms. */
export function kitsPage({ KITS, FORM_ROUTES, schoolsIn }) {
  return [
    '# Kits',
    '',
    `${MADE} Kinds of piece from parts to the last step, with their sizes open. A step is \`operation things @place (parameters)\`; \`[S11 A]\``,
    'stands in the route under that answer alone; `( … ) repeated: until …` is done again and again.',
    '',
    ...KITS.flatMap((kit) => kitSection(kit, schoolsIn)),
    '## Usual routes of forms',
    '',
    '| forms | steps |',
    '| --- | --- |',
    ...FORM_ROUTES.map(({ forms, steps }) => `| ${forms.join(', ')} | ${oneLine(steps)} |`),
    '',
  ].join('\n')
}

/** Kinds of joint with their usual steps, the solders, and the tests of a joint. */
export function jointsPage({ HOT_JOINTS, JOINT_KINDS, JOINT_STEPS, SOLDERS, JOINT_TESTS }) {
  return [
    '# Joints',
    '',
    `${MADE} The first member of a joint goes on the second. A joint added by hand brings these steps; a kit has its own.`,
    '',
    '| kind | made | usual steps |',
    '| --- | --- | --- |',
    ...Object.entries(JOINT_KINDS).map(
      ([id, title]) => `| ${title} | ${HOT_JOINTS.includes(id) ? 'hot' : 'cold'} | ${inTable(oneLine(JOINT_STEPS[id]))} |`,
    ),
    '',
    '## Solders',
    '',
    'Each later joint flows 20 °C or more under every earlier one that its heat reaches; 10 to 20 warns, less is a stop that a hold or a reason',
    'lifts. A solder that flows at or above where a metal in its heat has melted is never allowed. Typical values; the maker’s sheet wins.',
    '',
    '| solder | of | begins, °C | flows, °C | confidence |',
    '| --- | --- | --- | --- | --- |',
    ...Object.values(SOLDERS).map(
      ({ title, composition, solidusC, liquidusC, confidence }) =>
        `| ${title} | ${composition} | ${solidusC} | ${liquidusC} | ${confidence} |`,
    ),
    '',
    '## Tests',
    '',
    ...JOINT_TESTS.map(({ test, fails }) => `- ${test} ${fails}`),
    '',
  ].join('\n')
}
