export { slotHints, slotName, type SlotHint } from "./slots";
export { sortMessage, wordsOf, type SortedLine } from "./sort";
