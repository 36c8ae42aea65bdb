/** Frequent characters that are written otherwise in simplified Chinese. */
const TRADITIONAL = /[們個這來說時會過還對開關學國書報車門東馬鳥龍電話買賣點頭業樂體館園廣]/u;

/** The language that a text with Chinese characters seems to be in, by what stands beside them; undefined without any. */
export function hanLanguage(text: string): "ja" | "ko" | "zh" | "zh-Hant" | undefined {
  if (/[\p{Script=Hiragana}\p{Script=Katakana}]/u.test(text)) return "ja";
  if (/\p{Script=Hangul}/u.test(text)) return "ko";
  if (!/\p{Script=Han}/u.test(text)) return undefined;
  return TRADITIONAL.test(text) ? "zh-Hant" : "zh";
}
