import { RULING_SLOTS } from "../message";

/** Slots that stand for each other where a template has only one of them; the ruling words come first. */
const ALIKE: readonly (readonly string[])[] = [RULING_SLOTS, ["support", "body"]];

/** Which of a message's slots fills which of a template's; each is used once. */
export function slotsFor(wanted: readonly string[], given: readonly string[]): Map<string, string> {
  const free = new Set(given);
  const found = new Map<string, string>();
  const take = (slot: string, from: string): void => {
    found.set(slot, from);
    free.delete(from);
  };
  for (const slot of wanted) if (free.has(slot)) take(slot, slot);
  for (const alike of ALIKE) {
    for (const slot of wanted.filter((one) => alike.includes(one) && !found.has(one))) {
      const next = alike.find((one) => free.has(one));
      if (next) take(slot, next);
    }
  }
  return found;
}
