/** How a line begins or goes on that says what an offer depends on; common practice, a few of each language. */
const TERMS = new RegExp(
  [
    "^[*†‡]",
    "(?:terms|conditions|exclusions|restrictions)\\s(?:and\\s\\p{L}+\\s)?appl(?:y|ies)",
    "(?:while|until)\\s(?:stocks?|supplies|supply)\\slasts?",
    "(?:cannot|can['’]t|not)\\s(?:be\\s)?combined\\swith",
    "solange\\s(?:der\\s)?vorrat\\sreicht|es\\sgelten|nicht\\s(?:\\p{L}+\\s){0,5}kombinierbar",
    "dans\\sla\\slimite\\sdes|sous\\sconditions|non\\scumulable|ne\\sse\\scumule",
    "hasta\\s(?:fin\\sde|agotar)\\sexistencias|no\\sacumulable|aplican\\s\\p{L}*\\s?condiciones",
    "fino\\sa(?:d)?\\sesaurimento|enquanto\\sdurar|zolang\\sde\\svoorraad|så\\slänge\\slagret|så\\slenge\\slageret|så\\slænge\\slager",
  ].join("|"),
  "iu",
);

export const isTerms = (text: string): boolean => TERMS.test(text);
