import { gunzipSync } from "node:zlib";
import { SaxesParser } from "saxes";
import { problem } from "../../core/problem";

/** An SVG with more elements than this is a traced photograph or a map, and slow on every screen. */
const MOST_ELEMENTS = 20_000;
/** Unpacked; drawings of that many elements are a few megabytes. */
const MOST_BYTES = 32 * 1024 * 1024;

/** The text of an SVG that came compressed (RFC 1952); anything else as it is. Throws `picture-unreadable`. */
export function plainSvg(bytes: Buffer, name: string): Buffer {
  if (bytes[0] !== 0x1f || bytes[1] !== 0x8b) return bytes;
  try {
    return gunzipSync(bytes, { maxOutputLength: MOST_BYTES });
  } catch {
    throw problem("picture-unreadable", { name });
  }
}

/** What may run or show other pages, by its name without a prefix, in small letters. */
const FOREIGN: Record<string, string> = {
  script: "a script",
  handler: "a script",
  listener: "a script",
  foreignobject: "foreign content",
  iframe: "foreign content",
  embed: "foreign content",
  object: "foreign content",
  audio: "foreign content",
  video: "foreign content",
};
const OUTSIDE = "a link to something outside the file";

/**
 * Reads an SVG as XML, and throws for one that would run, reach out, look different on each machine, or be slow on all of
 * them: `picture-unsafe`, `svg-text`, `svg-too-complex`; `picture-unreadable` for what is no XML.
 */
export function refuseSvg(svg: string, name: string): void {
  const parser = new SaxesParser({});
  const unsafe = (found: string | undefined) => {
    if (found !== undefined) throw problem("picture-unsafe", { name, found });
  };
  let elements = 0;
  const open: string[] = [];
  parser.on("error", () => {
    throw problem("picture-unreadable", { name });
  });
  parser.on("doctype", (doctype) => unsafe(/<!ENTITY/i.test(doctype) ? "an entity" : undefined));
  parser.on("processinginstruction", ({ target }) =>
    unsafe(target.toLowerCase() === "xml-stylesheet" ? OUTSIDE : undefined),
  );
  parser.on("opentag", ({ name: tag, attributes }) => {
    const element = local(tag);
    open.push(element);
    unsafe(FOREIGN[element]);
    for (const [attribute, value] of Object.entries(attributes))
      unsafe(inAttribute(local(attribute), value));
    if (element === "text") throw problem("svg-text", { name });
    elements++;
  });
  parser.on("closetag", () => void open.pop());
  for (const event of ["text", "cdata"] as const)
    parser.on(event, (text) => unsafe(open.at(-1) === "style" ? inStyle(text) : undefined));
  parser.write(svg).close();
  if (elements > MOST_ELEMENTS)
    throw problem("svg-too-complex", { name, elements, most: MOST_ELEMENTS });
}

const local = (name: string): string => name.slice(name.indexOf(":") + 1).toLowerCase();

function inAttribute(name: string, value: string): string | undefined {
  if (/^on[a-z]/.test(name)) return "an event handler";
  if (/^[\s\u0000-\u0020]*javascript:/i.test(value)) return "a script address";
  if ((name === "href" || name === "src") && !staysInside(value)) return OUTSIDE;
  if (name === "attributename" && /href$/i.test(value.trim())) return OUTSIDE;
  return inStyle(value);
}

/** Addresses in CSS, also those that are written with its escapes (CSS Syntax 3, § 4.3.7). */
function inStyle(css: string): string | undefined {
  const plain = css.replace(/\\([0-9a-f]{1,6})\s?/gi, (_, hex: string) => {
    const code = parseInt(hex, 16);
    return code > 0 && code <= 0x10ffff ? String.fromCodePoint(code) : "";
  });
  if (/@import/i.test(plain)) return OUTSIDE;
  const addresses = plain.matchAll(/url\(\s*(["']?)(.*?)\1\s*\)/gis);
  for (const [, , address] of addresses) if (!staysInside(address!)) return OUTSIDE;
  return undefined;
}

/** A part of the same file, or a picture that is built in. */
const staysInside = (address: string): boolean => /^\s*($|#|data:image\/(?!svg))/i.test(address);
