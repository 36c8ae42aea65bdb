export { inOneColour, withoutGround } from "./cutout";
export { proposeColours, type ProposedColour } from "./propose";
export { readPalette, type FoundColour, type PaletteReading } from "./read";
