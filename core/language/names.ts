/** Languages that a message can be said to be in, as BCP 47; others are kept as they are written in the document. */
export const LANGUAGES: readonly string[] = [
  ...[
    "ar",
    "bg",
    "ca",
    "cs",
    "da",
    "de",
    "el",
    "en",
    "es",
    "fa",
    "fi",
    "fr",
    "he",
    "hi",
    "hr",
    "hu",
  ],
  ...[
    "id",
    "it",
    "ja",
    "ko",
    "nb",
    "nl",
    "pl",
    "pt",
    "ro",
    "ru",
    "sk",
    "sl",
    "sv",
    "th",
    "tr",
    "uk",
  ],
  ...["ur", "vi", "zh", "zh-Hant"],
];

/** What a language is called in English, by CLDR. */
export const languageName = (language: string): string =>
  new Intl.DisplayNames(["en"], { type: "language" }).of(language) ?? language;
