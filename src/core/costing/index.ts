export { standInPrices } from './metal-prices'
export { type Instead, isStockOf, metalCost, type StockPiece, type Supply, supplyOf, type ToBuy } from './supply'
