export { contactSheet, sizeSheet, type SheetAbout, type SizeSheet } from "./sheet";
