/** So many are named of what could stand in a cell. */
const MOST_NAMED = 8;

/** What a person should know of a table that is read, by the note's code. `row` counts from 1 below the headings. */
export const tableWords = {
  "unknown-column": (p: { name: string; slots: readonly string[] }) =>
    `Column “${p.name}” names no slot of this piece and is not used. The slots are ${p.slots.join(", ")}.`,
  "by-content": (p: { name: string; slot: string }) =>
    `Column “${p.name}” names no slot of this piece; by what stands in it, it is taken for ${p.slot}. Call it so, or put its heading in parentheses if it is for nothing.`,
  "ragged-row": (p: { row: number; has: number; needs: number }) =>
    `Row ${p.row} has ${p.has} ${p.has === 1 ? "cell" : "cells"} and the headings have ${p.needs}; ${p.has < p.needs ? "the missing ones keep the piece's own words" : "the extra ones are not used"}.`,
  "too-long": (p: { row: number; slot: string; length: number; most: number }) =>
    `Row ${p.row}: ${p.slot} has ${p.length} characters and a slot holds ${p.most}; the piece's own words are used.`,
  "unknown-picture": (p: { row: number; picture: string }) =>
    `Row ${p.row} names the picture “${p.picture}”, which is not in the store; the piece's own is used.`,
  "unknown-value": (p: { row: number; column: string; value: string; known: readonly string[] }) =>
    `Row ${p.row} has “${p.value}” for ${p.column}, which is not known; the piece's own is used. Known are ${p.known.slice(0, MOST_NAMED).join("; ")}${p.known.length > MOST_NAMED ? " and more" : ""}.`,
  "rows-dropped": (p: { count: number; used: number }) =>
    `The table has ${p.count} rows; the first ${p.used} are used, the rest are not.`,
  encoding: (_p: object) =>
    "The file is not UTF-8; it was read as Windows-1252. If accents look wrong, save it as CSV UTF-8.",
  "same-column": (p: { name: string }) =>
    `Column “${p.name}” stands there twice; the first one is used.`,
  "cell-error": (p: { cells: string }) =>
    `Formulas have failed in ${p.cells}; these cells came in empty, so that the piece's own words stay.`,
  "system-date": (p: { cells: string }) =>
    `The file does not say how dates are written in ${p.cells}; they came in as year-month-day. Give those cells a date format of their own, or write them as text.`,
  "hidden-rows": (p: { count: number }) =>
    p.count === 1 ? "1 hidden row was left out." : `${p.count} hidden rows were left out.`,
  "comes-round": (p: { shorter: string; has: number; longer: number }) =>
    `There are ${p.has} values for ${p.shorter} and ${p.longer} to go with; they come round again.`,
  "unknown-variation": (p: { row: number; name: string }) =>
    `Row ${p.row} names “${p.name}”, which is no variation of this batch; it is not counted.`,
  "no-count": (p: { row: number }) =>
    `Row ${p.row} has no whole number where one is counted; it is not counted.`,
  "more-acted": (p: { row: number; shown: number; acted: number }) =>
    `Row ${p.row} says that more acted (${p.acted}) than were shown it (${p.shown}); it is not counted.`,
  "stray-quote": (p: { row: number }) =>
    `Row ${p.row} has a quotation mark in the middle of a quoted cell; look whether its cells are as they should be.`,
} as const;
