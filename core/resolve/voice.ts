import type { Brand } from "../brand";
import type { Role } from "../piece";

/** What a node says that has no words of its own: a handle or site is the brand's. */
export function fromVoice(role: Role, { voice }: Brand): string {
  if (role === "handle") return voice.handle;
  return role === "site" ? voice.site : "";
}

/** Who speaks: a name, the brand's where none is given, over the handle. */
export function signature({ name, voice: { handle } }: Brand, own: string = name): string {
  return [`*${own}*`, ...(handle ? [handle] : [])].join("\n");
}
