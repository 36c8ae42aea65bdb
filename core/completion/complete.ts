import { priceParts, RULING_SLOTS, slotHints } from "../message";
import { isPicture, isText, type Node, type Piece, type PricePart, type Role } from "../piece";
import { measureOf, type Measure } from "./measure";
import { wordSlots } from "./slots";

const cache = new WeakMap<Piece, Piece>();

/**
 * The piece with a node for everything that its message holds, whatever its arrangement draws: words, pictures, the
 * parts of a price, and the brand's logo. What is added has no place of its own (`unplaced`); each size finds it one.
 * The same piece when nothing is missing.
 */
export function completed(piece: Piece): Piece {
  let whole = cache.get(piece);
  if (!whole) cache.set(piece, (whole = complete(piece)));
  return whole;
}

function complete(piece: Piece): Piece {
  const arrangement = withPriceParts(withoutLogo(withOwnWords(piece), piece), piece);
  const measure = measureOf({ ...piece, arrangement });
  const taken = new Set(arrangement.map(({ id }) => id));
  const missing = [
    ...missingWords(piece, arrangement),
    ...missingPictures(piece, arrangement),
    ...missingLogo(piece, arrangement),
    ...missingOrnament(piece, arrangement),
  ];
  const added = missing.map((wanted, i): Node => {
    const id = freeName(wanted.id, taken);
    taken.add(id);
    return { ...wanted, id, unplaced: true, box: measure.below(i), style: styled(wanted, measure) };
  });
  if (added.length === 0 && arrangement === piece.arrangement) return piece;
  const [behind, before] = [added.filter(isBehind), added.filter((node) => !isBehind(node))];
  const grounds = arrangement.filter(({ role }) => role === "backdrop");
  const rest = arrangement.filter(({ role }) => role !== "backdrop");
  return { ...piece, arrangement: [...grounds, ...behind, ...rest, ...before] };
}

type Wanted = Pick<Node, "id" | "kind" | "role" | "style"> & Partial<Node>;

const isBehind = ({ role }: Node): boolean => role === "photo" || role === "ornament";

/** In the manner of the arrangement: running text at its size, everything else by what its role asks for. */
function styled({ kind, role, style }: Wanted, { textSize, rulingSize }: Measure): Node["style"] {
  if (kind !== "text") return style;
  if (role === "figure") return { size: FIGURE * rulingSize, ...style };
  return { size: isRuling(role) ? rulingSize : textSize, ...style };
}

/** A figure is what a message that has one is about, so it rules over the headline that says of what. By eye. */
const FIGURE = 1.6;

const isRuling = (role: Role): boolean => RULING_SLOTS.includes(role);

/** A handle or site that would show the brand's own shows the message's where that has one. */
function withOwnWords({ arrangement, message }: Piece): Node[] {
  const slots = new Set(arrangement.map(({ slot }) => slot));
  const gets = (node: Node): boolean =>
    node.slot === undefined &&
    (node.role === "handle" || node.role === "site") &&
    !slots.has(node.role) &&
    isText(message[node.role]);
  if (!arrangement.some(gets)) return arrangement;
  return arrangement.map((node) => (gets(node) ? { ...node, slot: node.role } : node));
}

/** A logo that a person left out is not shown either where the arrangement drew it. */
function withoutLogo(arrangement: Node[], { without = [] }: Piece): Node[] {
  const goes = (node: Node): boolean =>
    isLogo(node) && (without.includes("logo") || (isSigned(arrangement) && !node.strip));
  return arrangement.some(goes) ? arrangement.filter((node) => !goes(node)) : arrangement;
}

/** A slide with the profile picture and the name on it says whose it is. */
const isSigned = (arrangement: readonly Node[]): boolean =>
  arrangement.some(({ role, strip }) => role === "portrait" && strip !== undefined);

const isLogo = ({ role }: Node): boolean => role === "logo";

const PRICE_PARTS: readonly PricePart[] = ["before", "figure", "after"];

/** A price with words is its figure, large, and what is said with it, small, on the same ground. */
function withPriceParts(arrangement: Node[], { message }: Piece): Node[] {
  const partsOf = ({ role, part, slot }: Node) => {
    const filling = message[slot ?? ""];
    if (role !== "price" || part !== undefined || !isText(filling)) return undefined;
    const words = priceParts(filling.text);
    return words.before || words.after ? words : undefined;
  };
  if (!arrangement.some(partsOf)) return arrangement;
  return arrangement.flatMap((node) => {
    const words = partsOf(node);
    if (!words) return [node];
    return PRICE_PARTS.filter((part) => words[part] !== "").map((part): Node => {
      if (part === "figure") return { ...node, part };
      const { size: _size, leading: _leading, ...style } = node.style;
      const box = { ...node.box, height: node.box.height / 4 };
      const y = part === "before" ? node.box.y : node.box.y + 0.75 * node.box.height;
      return {
        ...node,
        id: `${node.id}-${part}`,
        part,
        box: { ...box, y },
        style: { ...style, ...NOTE },
        unplaced: true,
      };
    });
  });
}

/** What is said with a price is text, not display. */
const NOTE = { type: "text", weight: 600, leading: 1.2, tracking: 0 } as const;

function missingWords(piece: Piece, arrangement: readonly Node[]): Wanted[] {
  const placed = new Set(arrangement.map(({ slot }) => slot));
  return wordSlots(piece)
    .filter((slot) => !placed.has(slot))
    .flatMap((slot): Wanted[] => {
      const role = slotHints[slot]?.role ?? "body";
      const node: Wanted = { id: slot, kind: "text", role, slot, style: styleFor(slot) };
      if (role !== "price") return [node];
      const filling = piece.message[slot];
      const words = priceParts(isText(filling) ? filling.text : "");
      return PRICE_PARTS.filter((part) => words[part] !== "").map((part) =>
        part === "figure"
          ? { ...node, part }
          : { ...node, id: `${slot}-${part}`, part, style: { ...node.style, ...NOTE } },
      );
    });
}

/** When, where and for how much stand out from running text by one tint. */
const FACT = { colour: "detail", weight: 700 } as const;

const styleFor = (slot: string): Node["style"] =>
  slot === "date" || slot === "place" || slot === "terms"
    ? { ...FACT }
    : slot === "price"
      ? { colour: "detail" }
      : {};

function missingPictures({ message }: Piece, arrangement: readonly Node[]): Wanted[] {
  const placed = new Set(arrangement.map(({ slot }) => slot));
  return Object.entries(message)
    .filter(([slot, filling]) => isPicture(filling) && !placed.has(slot))
    .map(([slot]) => ({ id: slot, kind: "picture", role: "photo", slot, style: {} }));
}

function missingLogo({ without = [] }: Piece, arrangement: readonly Node[]): Wanted[] {
  const there = without.includes("logo") || isSigned(arrangement) || arrangement.some(isLogo);
  return there ? [] : [{ id: "logo", kind: "picture", role: "logo", style: {} }];
}

/** Where a picture was drawn and none is given, the brand's own mark takes the room on purpose. */
function missingOrnament({ message, without = [] }: Piece, arrangement: readonly Node[]): Wanted[] {
  const frames = arrangement.filter(({ kind, role }) => kind === "picture" && role !== "logo");
  const shows = Object.values(message).some(isPicture);
  const drawn = arrangement.some(
    ({ kind, role }) => kind === "shape" && (role === "ornament" || role === "plate"),
  );
  if (frames.length === 0 || shows || drawn || without.includes("ornament")) return [];
  return [{ id: "emblem", kind: "shape", role: "ornament", style: { shape: "emblem" } }];
}

function freeName(wanted: string, taken: ReadonlySet<string>): string {
  let name = wanted;
  for (let i = 2; taken.has(name); i++) name = `${wanted}-${i}`;
  return name;
}
