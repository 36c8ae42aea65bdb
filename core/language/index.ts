export { inItsLanguage } from "./again";
export { languageOf } from "./language";
export { LANGUAGES, languageName } from "./names";
