/** Parameters whose name says too little, in words. */
const WORDS: Readonly<Record<string, string>> = {
  what: 'What',
  how: 'How',
  on: 'On',
  by: 'By',
  for: 'For',
  fit: 'Fit of the hole',
  min: 'Minutes',
  tempC: 'Heat, °C',
  timeS: 'For so many seconds',
  gritUm: 'Paper, µm',
  region: 'Which region',
  place: 'Which of the steps',
  side: 'Side of the line',
  tabCount: 'Tabs',
}

/** A parameter's name as a smith reads it: `insideRadius` is "Inside radius". */
export function plainCase(name: string): string {
  const words = name
    .replace(/(Mm|Um|Count|Fraction|Ratio)$/, '')
    .replace(/([A-Z])/g, ' $1')
    .toLowerCase()
  return WORDS[name] ?? words.charAt(0).toUpperCase() + words.slice(1)
}
