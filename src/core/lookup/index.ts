export { benchCardOf } from './bench-cards'
export { type Conversion, convertAmount } from './conversions'
export { type Finding, type Found, findInTables } from './find'
export { cellText, rowSummary, shortName, tableAsText, valueText } from './format'
export {
  type Neighbour,
  type Neighbours,
  neighboursOn,
  RULER_IDS,
  RULERS,
  type Ruler,
  type RulerId,
  rulerOfTable,
  type Scale,
  type ScaleMark,
  scalesOf,
} from './rulers'
