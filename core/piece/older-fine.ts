/** Findings whose key ended with what the slot was called, “call to action”; now it ends with the slot. */
const ABOUT_SLOTS = new Set(["left-out", "on-no-size"]);

/** A piece whose findings that were called fine are known by slots. */
export function withFineSlots(piece: unknown): unknown {
  if (typeof piece !== "object" || piece === null) return piece;
  const { fine } = piece as { fine?: unknown };
  return Array.isArray(fine) ? { ...piece, fine: fine.map(bySlot) } : piece;
}

function bySlot(key: unknown): unknown {
  if (typeof key !== "string") return key;
  const parts = key.split("|");
  const slot = parts.pop()!;
  return ABOUT_SLOTS.has(parts[1] ?? "") ? [...parts, slot.replaceAll(" ", "-")].join("|") : key;
}
