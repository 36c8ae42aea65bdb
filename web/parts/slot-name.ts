/** A slot's name as a person reads it: `call-to-action` → “Call to action”. */
export const slotName = (slot: string): string =>
  slot.charAt(0).toUpperCase() + slot.slice(1).replaceAll("-", " ");
