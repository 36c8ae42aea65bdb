import { withLayoutIds, withPlaces, type FrameOf, type Piece, type Wordings } from "../piece";
import { editTo } from "./difference";
import { Edit } from "./edit";

/*
 * Edits once said of whole parts of a piece what they were and what they became. They still come in from histories and
 * from what waits in a browser.
 */

interface OldEdit {
  kind: string;
  slot?: string;
  node?: string;
  placement?: string;
  to: unknown;
  was: unknown;
}

/** An edit as it is said now; undefined for one that says nothing, or that nobody can read. */
export function fromOlderEdit(stored: unknown, frameOf?: FrameOf): Edit | undefined {
  const known = withPlaces(withLayoutIds(stored), frameOf);
  const now = Edit.safeParse(known);
  if (now.success) return now.data;
  try {
    // What it makes has to be an edit too.
    return Edit.safeParse(editTo(...sidesOf(known as OldEdit))).data;
  } catch {
    return undefined;
  }
}

type Parts = Partial<Piece>;

/** A piece with no more than the edit was about, before and after it. */
function sidesOf(edit: OldEdit): [Piece, Piece] {
  return [edit.was, edit.to].map((side) => ({
    ...EMPTY,
    ...partsOf(edit, side),
  })) as [Piece, Piece];
}

const EMPTY: Parts = { message: {}, arrangement: [], sizes: [] };

function partsOf(edit: OldEdit, side: unknown): Parts {
  if (edit.slot !== undefined) return { message: fillingOf(edit.kind, edit.slot, side) };
  return partsBeside(edit, side);
}

/** What the message says or shows in the slot. */
function fillingOf(kind: string, slot: string, side: unknown): Piece["message"] {
  const filling = (value: object) => ({ [slot]: value }) as Piece["message"];
  switch (kind) {
    case "text":
      return filling({ text: side });
    case "picture":
      return filling(side as object);
    case "wordings": {
      const { text, alternatives } = side as Wordings;
      return filling(alternatives.length > 0 ? { text, alternatives } : { text });
    }
    case "varies":
      // Whether words or a picture: neither changes.
      return filling({ text: "", ...(side ? { varies: true } : {}) });
    default:
      return side === null ? {} : filling(side as object);
  }
}

function partsBeside({ kind, node, placement }: OldEdit, side: unknown): Parts {
  switch (kind) {
    case "picture-style":
      return styled(node!, placement, side as object);
    case "local":
      return { sizes: [{ placement: placement!, ...(side as { changes: object }) }] } as Parts;
    case "sizes":
      return { sizes: side as Piece["sizes"] };
    case "dress": {
      const { looks, ...dress } = side as { looks?: Parts };
      return { ...dress, ...looks };
    }
    case "looks":
    case "lead":
      return side as Parts;
    case "fine":
    case "without":
      return (side as unknown[]).length > 0 ? { [kind]: side } : {};
    default:
      return side === null ? {} : { [kind]: side };
  }
}

function styled(node: string, placement: string | undefined, style: object): Parts {
  const bare = { id: node, style };
  if (placement === undefined) return { arrangement: [bare] } as unknown as Parts;
  return { sizes: [{ placement, changes: { [node]: { style } } }] } as Parts;
}
