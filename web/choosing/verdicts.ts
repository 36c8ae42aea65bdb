import { Check, CircleHelp, X } from "@lucide/vue";
import type { Component } from "vue";
import type { Verdict } from "../../core/api";

interface About {
  does: string;
  said: string;
  key: string;
  icon: Component;
}

/** What can be decided of a variation, by key. */
export const VERDICTS: Readonly<Record<Verdict, About>> = {
  keep: { does: "Keep", said: "kept", key: "k", icon: Check },
  maybe: { does: "Maybe", said: "maybe", key: "m", icon: CircleHelp },
  drop: { does: "Drop", said: "dropped", key: "d", icon: X },
};
