import { fitLead, makeScene } from "../core/engine";
import { sortMessage, wordsOf } from "../core/message";
import type { Brand } from "../core/brand";
import type { FileId } from "../core/files";
import { isPicture, type Node, type Piece } from "../core/piece";
import { cssPerPixel, placementById, safeArea } from "../core/placements";
import { check, type Finding } from "../core/preflight";
import { layoutName } from "../core/wording/layouts";
import type { Layout } from "../core/refit";
import { LEAST_SUBJECT_SHOWN, MOST_SUBJECT_COVERED } from "../core/rules";
import { shippedTemplates } from "../core/shipped";
import { pieceOf } from "../core/templates";
import { Studio } from "../server/render/studio";
import { demoPictures, demoPieces } from "../tests/support/demo";
import { seen, sharedInk, type SeenWords } from "../tests/support/oracle";
import { markedPicture, seenSubject, SUBJECT } from "../tests/support/subject";
import { messages, strangeBrands, strangeFiles } from "../tests/support/strangers";
import { table } from "./figures";

const PLACES = [
  "story",
  "photo-feed-square",
  "community-link",
  "photo-feed-wide",
  "pinboard-tall",
  "ad-medium-rectangle",
  "ad-leaderboard",
].map(placementById);

/** Text that large may stand out less: WCAG 2.2, 1.4.3, in CSS pixels. */
const LARGE_TEXT = 24;
const CONTRAST = { text: 4.5, large: 3 } as const;
/** A tenth of the pixels of a word may stand out less, by this much, where a picture is behind it. By eye. */
const SLACK = 0.7;
/** Blurred edges of neighbouring words may share so much of their ink. */
const TOUCHING = 0.004;

interface Tally {
  sizes: number;
  words: number;
  overlaps: string[];
  outside: string[];
  faint: string[];
  unseen: string[];
  subjects: number;
  cut: string[];
  covered: string[];
}

/**
 * Sizes judged from their pixels alone, at the size that they are seen at, and where preflight says otherwise: it must
 * have named whatever is found here.
 */
export async function benchPixels(): Promise<void> {
  const studio = new Studio(strangeFiles);
  const tally: Tally = {
    sizes: 0,
    words: 0,
    overlaps: [],
    outside: [],
    faint: [],
    unseen: [],
    subjects: 0,
    cut: [],
    covered: [],
  };
  for (const { piece, brand } of [...demoPieces(), ...(await templatePieces(studio))])
    await judge(studio, piece, brand, tally);
  const marked = await markedPictures();
  for (const { piece, brand } of await templatePieces(studio, marked))
    await judgeSubjects(studio, piece, brand, marked, tally);
  const { sizes, words, subjects } = tally;
  const row = (label: string, found: string[], of: number): [string, string] => [
    label,
    `${String(found.length).padStart(4)} of ${of}${found.length > 0 ? `, such as ${found[0]!}` : ""}`,
  ];
  table(`Judged from pixels: ${sizes} sizes with ${words} words or lines`, [
    row("words that lie on each other and that preflight does not name", tally.overlaps, sizes),
    row("words outside of the safe area and that preflight does not name", tally.outside, words),
    row("words that stand out too little and that preflight does not name", tally.faint, words),
    row("words that are painted and not seen", tally.unseen, words),
    row("subjects that are cut and that preflight does not name", tally.cut, subjects),
    row("subjects that are covered and that preflight does not name", tally.covered, subjects),
  ]);
}

/** Pictures whose subject can be counted, lying and standing. */
const markedPictures = () => Promise.all([markedPicture(1500, 1000), markedPicture(1000, 1500)]);

async function templatePieces(
  studio: Studio,
  subjects: readonly FileId[] = [],
): Promise<{ piece: Piece; brand: Brand }[]> {
  const brands = strangeBrands();
  const made: { piece: Piece; brand: Brand }[] = [];
  for (const [i, template] of shippedTemplates.entries()) {
    const { typed } = messages[i % messages.length]!;
    const brand = brands[i % brands.length]!;
    const words = wordsOf(sortMessage(typed));
    const subject = subjects[i % subjects.length];
    const pictures = subject ? [subject] : i % 2 === 0 ? demoPictures().slice(0, 2) : [];
    const wanted = { id: template.id, title: template.id, words, pictures };
    const plain = pieceOf(template, brand, wanted);
    const first = subject ? withSubject(plain) : plain;
    const sources = await studio.sources(first, brand);
    const { piece } = fitLead(first, brand, placementById(first.lead), sources);
    made.push({ piece, brand });
  }
  return made;
}

/** The piece with the marked pictures' subjects known, and nothing that changes their colours. */
const withSubject = (piece: Piece): Piece => ({
  ...piece,
  message: Object.fromEntries(
    Object.entries(piece.message).map(([slot, filling]) => [
      slot,
      isPicture(filling) ? { ...filling, areas: [SUBJECT] } : filling,
    ]),
  ),
  arrangement: piece.arrangement.map((node) =>
    node.kind === "picture" ? { ...node, style: plainStyle(node.style) } : node,
  ),
});

function plainStyle({
  adjust: _adjust,
  blend: _blend,
  opacity: _opacity,
  ...style
}: Node["style"]): Node["style"] {
  return style;
}

/** A cell of the board that is half seen is seen or not, and edges are blurred. */
const CELL_ERROR = 1 / 16;

/** Pixels across that a size has at the least when subjects are counted on it; no more than twice its own. */
const SUBJECT_WIDTH = 600;

async function judgeSubjects(
  studio: Studio,
  piece: Piece,
  brand: Brand,
  marked: readonly FileId[],
  tally: Tally,
): Promise<void> {
  const sources = await studio.sources(piece, brand);
  for (const placement of PLACES) {
    const { scene, layout } = makeScene(piece, brand, placement, sources);
    // Large enough that a cell of a small subject is still some pixels.
    const viewed = Math.min(1, 2 * cssPerPixel(placement));
    const scale = Math.min(2, Math.max(viewed, SUBJECT_WIDTH / placement.width));
    const subject = await seenSubject(studio, scene, scale, marked);
    if (!subject) continue;
    tally.subjects++;
    const codes = new Set(check(layout).map(({ code }) => code));
    const where = `${piece.id} ${placement.id} ${layoutName(layout.layoutId)}`;
    const { shown, covered } = subject;
    if (shown < LEAST_SUBJECT_SHOWN.thing - CELL_ERROR && !codes.has("subject-cut"))
      tally.cut.push(`${where} ${shown.toFixed(2)}`);
    if (covered > MOST_SUBJECT_COVERED + CELL_ERROR && !codes.has("subject-covered"))
      tally.covered.push(`${where} ${covered.toFixed(2)}`);
  }
}

async function judge(studio: Studio, piece: Piece, brand: Brand, tally: Tally): Promise<void> {
  const sources = await studio.sources(piece, brand);
  for (const placement of PLACES) {
    const { scene, layout } = makeScene(piece, brand, placement, sources);
    const scale = Math.min(1, 2 * cssPerPixel(placement));
    const { words } = await seen(studio, scene, scale);
    const size: Size = {
      layout,
      named: check(layout),
      where: `${piece.id} ${placement.id}`,
      scale,
    };
    tally.sizes++;
    tally.words += words.length;
    for (const [i, word] of words.entries()) {
      const on = words.slice(i + 1).find((other) => sharedInk(word, other) > TOUCHING);
      if (on && !says(size, "overlap", word) && !says(size, "overlap", on))
        tally.overlaps.push(`${size.where} ${word.node} and ${on.node}`);
      judgeOne(size, word, tally);
    }
  }
}

interface Size {
  layout: Layout;
  named: Finding[];
  where: string;
  scale: number;
}

const says = ({ named }: Size, code: Finding["code"], { node }: SeenWords): boolean =>
  named.some((finding) => finding.code === code && [finding.node, finding.about].includes(node));

function judgeOne(size: Size, word: SeenWords, tally: Tally): void {
  const { layout, scale } = size;
  const where = `${size.where} ${word.node}`;
  if (word.edges.right === 0) {
    tally.unseen.push(where);
    return;
  }
  if (leaves(word.edges, layout.placement, scale) && !says(size, "outside-safe-area", word))
    tally.outside.push(where);
  const px = layout.placed.find(({ node }) => node.id === word.node)?.text?.set.size ?? 0;
  const { large, text } = CONTRAST;
  const needed = px * cssPerPixel(layout.placement) >= LARGE_TEXT ? large : text;
  const { worst, middle } = word.contrast;
  const faint = middle < needed || worst < SLACK * needed;
  if (faint && !says(size, "low-contrast", word))
    tally.faint.push(`${where} ${worst.toFixed(1)} to ${middle.toFixed(1)}`);
}

/** By more than a pixel, which an edge is blurred by. */
function leaves(
  { left, top, right, bottom }: { left: number; top: number; right: number; bottom: number },
  placement: Parameters<typeof safeArea>[0],
  scale: number,
): boolean {
  const safe = safeArea(placement);
  return (
    left < safe.x * scale - 1.5 ||
    top < safe.y * scale - 1.5 ||
    right > (safe.x + safe.width) * scale + 1.5 ||
    bottom > (safe.y + safe.height) * scale + 1.5
  );
}
