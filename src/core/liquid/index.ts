export { dosesOfFeed, feedDays, type FedContainer, type LiquidFeed } from './course'
export { feedSolution, gramsForStrength, type FeedPart, type FeedSolution } from './solution'
export {
  checkStrength,
  clashOf,
  drawnFor,
  feedFromStock,
  STOCK_LIMITS,
  stocksFor,
  type Clash,
  type MeterCheck,
  type Stock,
  type Stocks,
} from './stock'
