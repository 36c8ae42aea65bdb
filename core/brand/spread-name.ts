import { baseId, type Spread } from "../colour";
import type { Brand } from "./brand";

/** What a spread is called: the words and the ground, then the third colour where there is one. */
export function spreadName({ colours }: Brand, spread: Spread): string {
  const named = (id: string): string =>
    colours.find((colour) => colour.id === id)?.name ?? "another colour";
  const { backdrop, headline, action, ornament } = spread;
  const [ground, words] = [backdrop, headline].map((id) => baseId(id ?? "")) as [string, string];
  const third = [action, ornament]
    .map((id) => baseId(id ?? ""))
    .find((id) => id !== ground && id !== words);
  return `${named(words)} on ${named(ground)}${third ? ` with ${named(third)}` : ""}`;
}
