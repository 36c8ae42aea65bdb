import type { Variation } from "./variation";

/** One of the values of a column, or of several that go in step: what it changes, and its values by column as conditions name them. */
export interface Choice {
  change: Variation;
  keys: Readonly<Record<string, string>>;
}

/** What a variation changes besides its words and pictures. */
export type LookChange = Omit<Variation, "message" | "edit">;

export const choiceOf = (column: string, key: string, change: Partial<Variation>): Choice => ({
  change: { message: {}, ...change },
  keys: { [column]: key },
});

/** Several in one; of two that change the same, the last. */
export function merged(choices: readonly (Choice | undefined)[]): Choice {
  const all = choices.filter((choice) => choice !== undefined);
  const messages = all.map(({ change }) => change.message);
  return {
    change: {
      ...(Object.assign({}, ...all.map(({ change }) => change)) as LookChange),
      message: Object.assign({}, ...messages) as Variation["message"],
    },
    keys: Object.assign({}, ...all.map(({ keys }) => keys)) as Choice["keys"],
  };
}
