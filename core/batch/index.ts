export * from "./table";
export * as grid from "./grid";
export { FORMATS, formatted, type CellFormat, type Formatting } from "./formats";
export * from "./variation";
export { merged, type Choice } from "./choice";
export {
  knownIn,
  LOOK_COLUMNS,
  lookColumnNamed,
  lookValue,
  valuesOf,
  type LookColumn,
  type LookNames,
  type ValueNames,
} from "./looks";
export { asAside, columnSlots, isAside, type ColumnSlot } from "./columns";
export { batchSlots, columnNames, fillingAt, slotNamed, type BatchSlot } from "./slots";
export { Condition, Pairing, Sample, unequal, type Combining } from "./factors";
export * from "./combine";
export * from "./kept";
export * from "./naming";
export { changedByHand, outdatedFiles, type Made, type MadeFile } from "./again";
