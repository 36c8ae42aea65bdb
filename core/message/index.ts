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
export { isUrging } from "./form/appeals";
export { isFigure, slotByForm, sortMessage, wordsOf, type SortedLine } from "./sort";
export { plainDigits } from "./form/digits";
