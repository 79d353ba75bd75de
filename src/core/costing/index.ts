export { type Instead, metalCost, type StockPiece, type Supply, supplyOf, type ToBuy } from './supply'
