export {
  families,
  fallbackFonts,
  fallbacks,
  shelfTypeface,
  shippedFonts,
  type ShelfFamily,
} from "./shelf";
