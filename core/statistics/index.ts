export { analyse } from "./analyse";
export { fisher, holm, neededEach, pOfDifference, wilson } from "./proportions";
