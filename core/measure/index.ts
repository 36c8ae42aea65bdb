export { bitsApart, coloursApart, fromHex } from "./look";
export { measure, Measured, Measures } from "./measures";
