export { ALLOY_IDS, ALLOY_TITLES, ALLOYS, type Alloy, type AlloyId, findAlloy, massOf } from './alloys'
export { SOLDER_IDS, SOLDERS, type SolderId } from './solders'
export {
  BOUGHT_TEMPER_IDS,
  BOUGHT_TEMPERS,
  type BoughtTemper,
  boughtStrain,
  TEMPERS,
  type Temper,
  takenTemper,
  temperOfStrain,
  temperReduction,
  temperStrain,
} from './tempers'
