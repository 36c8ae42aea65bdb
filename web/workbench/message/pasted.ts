import { markedRuns, type EmphasisKind, type Run } from "../../../core/text";

const LINE_ENDS = new Set(["P", "DIV", "LI", "BR", "H1", "H2", "H3", "H4", "BLOCKQUOTE", "TR"]);
const SKIPPED = new Set(["STYLE", "SCRIPT", "TITLE", "HEAD"]);
/** From here on a weight is bold. */
const BOLD = 600;

/** Copied words with the marks for what stood out; undefined when nothing did, so that they are pasted plainly. */
function markedText(clipboard: DataTransfer | null): string | undefined {
  const html = clipboard?.getData("text/html");
  if (!html) return undefined;
  const { body } = new DOMParser().parseFromString(html, "text/html");
  const runs = runsOf(body, undefined);
  if (!runs.some(({ kind }) => kind)) return undefined;
  const typed = markedRuns(runs);
  return typed.replace(/[ \t]*\n\s*/g, "\n").trim();
}

/** Pastes into a field what stood out where it was copied from, with its marks. */
export function pasteMarked(event: ClipboardEvent): void {
  const marked = markedText(event.clipboardData);
  if (marked === undefined) return;
  event.preventDefault();
  const field = event.target as HTMLTextAreaElement;
  field.setRangeText(marked, field.selectionStart, field.selectionEnd, "end");
  field.dispatchEvent(new Event("input", { bubbles: true }));
}

function runsOf(node: Node, inherited: EmphasisKind | undefined): Run[] {
  if (node.nodeType === Node.TEXT_NODE) {
    const text = (node.textContent ?? "").replace(/\s+/g, " ");
    return [inherited ? { text, kind: inherited } : { text }];
  }
  if (!(node instanceof HTMLElement) || SKIPPED.has(node.tagName)) return [];
  const kind = kindOf(node, inherited);
  const inside = [...node.childNodes].flatMap((child) => runsOf(child, kind));
  const marker = node.tagName === "LI" ? [{ text: "- " }] : [];
  if (node.tagName === "TD" || node.tagName === "TH") return [...inside, { text: " " }];
  return LINE_ENDS.has(node.tagName) ? [...marker, ...inside, { text: "\n" }] : inside;
}

function kindOf(element: HTMLElement, inherited: EmphasisKind | undefined) {
  const { fontWeight, textDecoration, backgroundColor } = element.style;
  const weight = fontWeight === "bold" ? 700 : Number(fontWeight);
  // Some editors wrap everything in a bold element that they set back to normal.
  if (fontWeight === "normal" || (weight > 0 && weight < BOLD)) return undefined;
  if (/^(B|STRONG)$/.test(element.tagName) || weight >= BOLD) return "strong";
  if (element.tagName === "U" || textDecoration.includes("underline")) return "underline";
  if (element.tagName === "MARK" || (backgroundColor && backgroundColor !== "transparent"))
    return "marker";
  return inherited;
}
