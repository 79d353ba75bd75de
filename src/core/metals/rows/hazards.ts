export const ZINC_FUME = 'Zinc fume when overheated (zinc boils at 907 °C): ventilate, do not melt.'
export const SEASON_CRACKING =
  'Season cracking: formed and left stressed it can split in ammonia or damp. Relieve at 250–275 °C for half an hour after the last forming.'
export const ALUMINIUM = 'It melts without ever glowing. Its filings eat pits into hot silver: keep tools and bench apart.'
