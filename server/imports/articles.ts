import { extname } from "node:path";
import iconv from "iconv-lite";
import { Parser } from "htmlparser2";
import { lexer, type Token } from "marked";
import { plainBlocks, type Block } from "../../core/article";
import { problem } from "../../core/problem";

const KINDS = "Markdown, HTML, plain text, .docx, or a PDF with text in it";

/** The blocks of an article. Throws `article-unreadable`. */
export async function readArticleFile(bytes: Buffer, name: string): Promise<Block[]> {
  const blocks = await blocksIn(bytes, extname(name).toLowerCase(), name);
  const said = blocks.filter(isSaid);
  if (said.length === 0)
    throw problem("article-unreadable", { name, why: "there are no words in it that can be read" });
  return said;
}

const isSaid = (block: Block): boolean => block.kind === "list" || block.text.trim() !== "";

async function blocksIn(bytes: Buffer, ending: string, name: string): Promise<Block[]> {
  if (bytes.subarray(0, 5).toString("latin1") === "%PDF-") return readPdf(bytes, name);
  if (bytes.subarray(0, 4).toString("latin1") === "PK\u0003\u0004") return readDocx(bytes, name);
  if (bytes.includes(0))
    throw problem("article-unreadable", { name, why: `it is none of ${KINDS}` });
  const text = decoded(bytes);
  if (/^\.(?:html?|xhtml)$/.test(ending) || /^\s*<(?:!doctype|html)\b/i.test(text))
    return htmlBlocks(text);
  return /^\.(?:md|markdown)$/.test(ending) || /^#{1,6}\s/m.test(text)
    ? markdownBlocks(text)
    : plainBlocks(text);
}

/** UTF-8 where it is that, else what older programs on most computers wrote. */
function decoded(bytes: Buffer): string {
  const text = bytes.toString("utf8");
  return (text.includes("\uFFFD") ? iconv.decode(bytes, "windows-1252") : text).replace(
    /^\uFEFF/,
    "",
  );
}

export function markdownBlocks(text: string): Block[] {
  return lexer(text).flatMap(blocksOfToken).filter(isSaid);
}

function blocksOfToken(token: Token): Block[] {
  switch (token.type) {
    case "heading":
      return [{ kind: "heading", level: token.depth as number, text: plain(token) }];
    case "paragraph":
      return [{ kind: "text", text: plain(token) }];
    case "blockquote":
      return [{ kind: "quote", text: plain(token) }];
    case "list":
      return [{ kind: "list", items: (token.items as Token[]).map(plain) }];
    case "html":
      return htmlBlocks(token.raw);
    default:
      return [];
  }
}

/** The words of a token without their marks. */
const plain = (token: Token): string => wordsIn(token).replace(/\s+/g, " ").trim();

function wordsIn(token: Token): string {
  if (token.type === "image" || token.type === "html") return "";
  if (token.type === "br") return " ";
  const { tokens, text = "" } = token as { tokens?: Token[]; text?: string };
  return tokens
    ? tokens.map(wordsIn).join(token.type === "blockquote" ? " " : "")
    : unescaped(text);
}

const ENTITIES: Record<string, string> = { amp: "&", lt: "<", gt: ">", quot: '"', "#39": "'" };
const unescaped = (text: string): string =>
  text.replace(/&(amp|lt|gt|quot|#39);/g, (_, name: string) => ENTITIES[name]!);

/** What is no part of what an article says. */
const ASIDE: ReadonlySet<string> = new Set([
  "script",
  "style",
  "noscript",
  "template",
  "nav",
  "footer",
  "aside",
  "form",
  "button",
  "svg",
  "figure",
  "head",
]);
const OWN_LINE: ReadonlySet<string> = new Set([
  "p",
  "div",
  "section",
  "article",
  "main",
  "header",
  "td",
  "th",
  "dd",
  "dt",
  "pre",
  "figcaption",
  "address",
]);

export function htmlBlocks(html: string): Block[] {
  const blocks: Block[] = [];
  let [text, aside, quoted] = ["", 0, 0];
  let items: string[] | undefined;
  const said = (): string => {
    const words = text.replace(/\s+/g, " ").trim();
    text = "";
    return words;
  };
  const paragraph = (): void => {
    const words = said();
    if (!words) return;
    const last = blocks.at(-1);
    if (items) items.push(words);
    else if (quoted > 0 && last?.kind === "quote") last.text += ` ${words}`;
    else blocks.push(quoted > 0 ? { kind: "quote", text: words } : { kind: "text", text: words });
  };
  const parser = new Parser(
    {
      onopentag(name) {
        if (ASIDE.has(name)) aside++;
        if (name === "br") text += " ";
        else if (OWN_LINE.has(name) || /^h[1-6]$/.test(name) || name === "li") paragraph();
        else if (name === "ul" || name === "ol") {
          paragraph();
          items ??= [];
        } else if (name === "blockquote") {
          paragraph();
          quoted++;
        }
      },
      ontext(data) {
        if (aside === 0) text += data;
      },
      onclosetag(name) {
        if (ASIDE.has(name)) aside--;
        if (/^h[1-6]$/.test(name)) {
          const words = said();
          if (words) blocks.push({ kind: "heading", level: Number(name[1]), text: words });
        } else if (OWN_LINE.has(name) || name === "li") paragraph();
        else if (name === "ul" || name === "ol") {
          paragraph();
          if (items && items.length > 0) blocks.push({ kind: "list", items });
          items = undefined;
        } else if (name === "blockquote") {
          paragraph();
          quoted--;
        }
      },
    },
    { decodeEntities: true },
  );
  parser.write(html);
  parser.end();
  paragraph();
  return blocks;
}

async function readDocx(bytes: Buffer, name: string): Promise<Block[]> {
  try {
    // Loaded when one is read: a process that reads files begins often, and mostly for pictures.
    const { default: mammoth } = await import("mammoth");
    const { value } = await mammoth.convertToHtml({ buffer: bytes });
    return htmlBlocks(value);
  } catch {
    throw problem("article-unreadable", {
      name,
      why: `it is packed, but no .docx. It can be ${KINDS}`,
    });
  }
}

async function readPdf(bytes: Buffer, name: string): Promise<Block[]> {
  try {
    const { extractText, getDocumentProxy } = await import("unpdf");
    const document = await getDocumentProxy(new Uint8Array(bytes));
    const { text } = await extractText(document, { mergePages: false });
    return plainBlocks(text.map(unbroken).join("\n\n"));
  } catch {
    throw problem("article-unreadable", {
      name,
      why: "it is a PDF that cannot be opened; it may be locked or cut off",
    });
  }
}

/** Words that are parted at the end of a line, put together; a line that ends a sentence before a short one ends a paragraph. */
const unbroken = (page: string): string =>
  page.replace(/(\p{Ll})-\n(\p{Ll})/gu, "$1$2").replace(/([.!?])\n(?=\p{Lu})/gu, "$1\n\n");
