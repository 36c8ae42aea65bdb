export {
  COUNTED,
  isCounted,
  FACT_SLOTS,
  isFact,
  readingRank,
  RULING_SLOTS,
  slotHints,
  slotName,
  type SlotHint,
} from "./slots";
export { priceParts, type PriceParts } from "./price";
export { sortMessage, wordsOf, type SortedLine } from "./sort";
