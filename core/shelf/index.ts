export {
  families,
  fallbackFonts,
  helpingFor,
  fallbacks,
  shelfTypeface,
  shippedFonts,
  type ShelfFamily,
} from "./shelf";
