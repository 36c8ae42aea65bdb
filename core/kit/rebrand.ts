import { brandSpreads, type Brand } from "../brand";
import {
  baseId,
  ColourRole,
  difference,
  hexOf,
  luminance,
  MIDDLE_LUMINANCE,
  type Spread,
} from "../colour";
import { onBrand, type Piece } from "../piece";
import { slideCount, slideOf, withSlide } from "../strip";
import { rebrandWords } from "../wording/kits";

/** A piece in another brand, with what a person should look at. */
export interface Rebranded {
  piece: Piece;
  notes: string[];
}

/**
 * The piece taken from one brand to another: tokens that name a role stay, those that name one of the old
 * brand's own colours become the new brand's colour of that role, or its nearest by CIEDE2000, and the spread is
 * the new brand's best on a ground as light or dark as before.
 */
export function rebrand(strip: Piece, from: Brand, to: Brand): Rebranded {
  const slides = Array.from({ length: slideCount(strip) }, (_, index) =>
    slideRebranded(slideOf(strip, index), from, to),
  );
  return {
    piece: slides.reduce((done, { piece }, index) => withSlide(done, index, piece), strip),
    notes: [...new Set(slides.flatMap(({ notes }) => notes))],
  };
}

/** One slide, which a piece that is no strip is by itself. */
function slideRebranded(piece: Piece, from: Brand, to: Brand): Rebranded {
  const swaps = colourSwaps(piece, from, to);
  const styled = swaps.reduce((before, { token, into }) => onBrand(before, token, into), {
    arrangement: piece.arrangement,
    sizes: piece.sizes,
  });
  return {
    piece: { ...piece, ...styled, brand: to.id, spread: spreadFor(piece, from, to) },
    notes: [...swaps.map(({ note }) => note), ...lacking(piece, to)],
  };
}

interface Swap {
  token: string;
  into: string;
  note: string;
}

function colourSwaps(piece: Piece, from: Brand, to: Brand): Swap[] {
  const own = new Map(from.colours.map((colour) => [colour.id, colour]));
  const shared = new Set<string>([...ColourRole.options, ...from.colours.map(({ role }) => role)]);
  const used = new Set(piece.arrangement.flatMap(({ style }) => strings(style)));
  return [...used].flatMap((token) => {
    const colour = own.get(baseId(token));
    if (!colour || shared.has(token)) return [];
    const hex = hexOf(from.colours, token)!;
    const sameRole = to.colours.find(({ role }) => role === colour.role && role !== "free");
    const nearest = to.colours
      .map((one) => ({ one, apart: difference(one.hex, hex) }))
      .sort((a, b) => a.apart - b.apart)[0]!.one;
    const into = sameRole && token === colour.id ? sameRole : nearest;
    const note = rebrandWords.colour({
      from: colour.name,
      into: into.name,
      role: into === sameRole ? colour.role : undefined,
      apart: difference(into.hex, hex),
    });
    return [{ token, into: into.id, note }];
  });
}

/** Every string in a style, however deep: a colour token can stand in a plate, a shadow, a stop. */
function strings(value: unknown): string[] {
  if (typeof value === "string") return [value];
  if (value === null || typeof value !== "object") return [];
  return Object.values(value).flatMap(strings);
}

function spreadFor(piece: Piece, from: Brand, to: Brand): Spread {
  // What has its brand's first spread takes the other brand's first.
  const before = hexOf(from.colours, piece.spread.backdrop);
  if (!before) return {};
  const all = brandSpreads(to);
  const isLight = luminance(before) > MIDDLE_LUMINANCE;
  const alike = ({ backdrop }: Spread) =>
    luminance(hexOf(to.colours, backdrop) ?? "#000000") > MIDDLE_LUMINANCE === isLight;
  return all.find(alike) ?? {};
}

/** What the piece shows of a brand and this one has not. */
function lacking({ arrangement, message }: Piece, { name, logos, voice }: Brand): string[] {
  const asks = (role: string) =>
    arrangement.some((node) => node.role === role && !(node.slot && message[node.slot]));
  return [
    ...(asks("logo") && logos.length === 0 ? [rebrandWords.noLogo({ name })] : []),
    ...(asks("handle") && !voice.handle ? [rebrandWords.noHandle({ name })] : []),
    ...(asks("site") && !voice.site ? [rebrandWords.noSite({ name })] : []),
  ];
}
