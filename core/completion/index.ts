export { completed } from "./complete";
export { shownSlots, wordSlots } from "./slots";
