export { sizeSheet, type SheetAbout, type SizeSheet } from "./sheet";
