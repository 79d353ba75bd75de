export { standInPrices } from './metal-prices'
export { simulatedFeed } from './price-feed'
export { type Quote, type QuotedPiece, type QuotePiece, quoteOf } from './quote'
export { type Instead, isStockOf, metalCost, type StockPiece, type Supply, supplyOf, type ToBuy } from './supply'
