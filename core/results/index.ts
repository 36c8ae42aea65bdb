export { bestValues } from "./best";
export { readResults, type NamedVariation, type ResultColumns } from "./read";
export { sayColumn, sayVariations } from "./say";
export { Analysis, Results, type ColumnEffect, type Comparison, type Rated } from "./schema";
