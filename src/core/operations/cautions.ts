/** What every torch step says before anything else. */
export const HEAT_CAUTION =
  'Eye protection, ventilation, hair and sleeves tied back, a clear fireproof bench. Follow the torch maker’s and the flux’s safety sheets and local rules.'
