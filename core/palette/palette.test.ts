import { expect } from "chai";
import sharp from "sharp";
import { difference, type Hex } from "../colour";
import type { Raster } from "../picture";
import { proposeColours, readPalette } from "./index";

/** Palettes whose colours are far enough apart to be told by eye. */
const PALETTES: Hex[][] = [
  ["#123A3F", "#EDB64A", "#C4492A"],
  ["#0A1F5C", "#FF6A45", "#8FD6CF"],
  ["#5B2A86", "#F2B705"],
  ["#0F6B3E", "#F28F3B", "#C8553D", "#2D3047"],
  ["#1D1D1F", "#E63946"],
  ["#264653", "#2A9D8F", "#E9C46A", "#F4A261"],
];
const KINDS = ["flat", "soft", "jpeg", "gradient", "photo"] as const;
type Kind = (typeof KINDS)[number];

/** A seeded sequence of numbers 0..1: Park and Miller's minimal standard generator (1988). */
function random(seed: number): () => number {
  let state = seed * 7919 + 1;
  return () => (state = (state * 48271) % 2147483647) / 2147483647;
}

/** A made-up logo or page in known colours on a light ground. */
function drawing(colours: Hex[], kind: Kind, seed: number): string {
  const next = random(seed);
  const [width, height] = [1600, 900];
  const parts = colours.map((hex, i) => {
    const x = 80 + (i * (width - 160)) / colours.length;
    const size = 150 + 120 * next();
    const y = 120 + 300 * next();
    return i % 2 === 0
      ? `<circle cx="${x + size / 2}" cy="${y + size / 2}" r="${size / 2}" fill="${hex}"/>`
      : `<path d="M${x} ${y}h${size}l${-size / 3} ${size}h${-size / 2}Z" fill="${hex}"/>`;
  });
  const words = colours.map(
    (hex, i) =>
      `<rect x="90" y="${640 + i * 48}" width="${500 + 500 * next()}" height="26" fill="${hex}"/>`,
  );
  const wash =
    kind === "gradient"
      ? `<defs><linearGradient id="g"><stop stop-color="#30c0ff"/><stop offset="1" stop-color="#ff30a0"/></linearGradient></defs><rect x="1100" y="600" width="420" height="220" fill="url(#g)"/>`
      : "";
  const edges = kind === "flat" ? ' shape-rendering="crispEdges"' : "";
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"${edges}><rect width="100%" height="100%" fill="#ffffff"/>${wash}${parts.join("")}${words.join("")}</svg>`;
}

async function picture(colours: Hex[], kind: Kind, seed: number): Promise<Raster> {
  let image = sharp(Buffer.from(drawing(colours, kind, seed)));
  if (kind === "photo") {
    const photo = await sharp("demo/quillmere/pictures/harbour-boats.jpg")
      .resize(460, 260, { fit: "cover" })
      .toBuffer();
    image = sharp(
      await image
        .composite([{ input: photo, left: 1080, top: 590 }])
        .png()
        .toBuffer(),
    );
  }
  if (kind === "jpeg")
    image = sharp(await image.flatten({ background: "#fff" }).jpeg({ quality: 60 }).toBuffer());
  const { data, info } = await image.ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return {
    data: new Uint8ClampedArray(data),
    width: info.width,
    height: info.height,
    opaque: true,
  };
}

describe("reading a palette", () => {
  it("finds the colours of 60 pictures within ΔE00 2, and hardly any that are not there", async () => {
    let [known, found, said, wrong] = [0, 0, 0, 0];
    for (let seed = 0; seed < 60; seed++) {
      const colours = PALETTES[seed % PALETTES.length]!;
      const kind = KINDS[Math.floor(seed / 12) % KINDS.length]!;
      const read = readPalette(await picture(colours, kind, seed));
      const near = (hex: Hex) => read.colours.some((colour) => difference(colour.hex, hex) < 2);
      known += colours.length;
      found += colours.filter(near).length;
      said += read.colours.length;
      wrong += read.colours.filter(
        ({ hex }) => !colours.some((own) => difference(own, hex) < 2),
      ).length;
      expect(read.ground?.hex, `${kind} ${seed}`).to.equal("#ffffff");
    }
    console.log(`      ${found} of ${known} colours found, ${wrong} of ${said} false`);
    expect(found / known).to.be.at.least(0.95);
    expect(wrong / said).to.be.below(0.05);
  }).timeout(120_000);

  it("answers the exact value of a flat area", async () => {
    const { colours } = readPalette(await picture(["#123A3F", "#EDB64A", "#C4492A"], "soft", 3));
    expect(colours.map(({ hex }) => hex.toUpperCase())).to.have.members([
      "#123A3F",
      "#EDB64A",
      "#C4492A",
    ]);
  });

  it("reads what is see-through and what has nothing flat", () => {
    const data = new Uint8ClampedArray(64 * 64 * 4);
    expect(readPalette({ data, width: 64, height: 64, opaque: false })).to.deep.equal({
      ground: undefined,
      colours: [],
    });
    for (let i = 0; i < data.length; i++) data[i] = i % 4 === 3 ? 255 : (i * 7919) % 256;
    expect(readPalette({ data, width: 64, height: 64, opaque: true }).colours).to.deep.equal([]);
    expect(
      readPalette({ data: new Uint8ClampedArray(4), width: 1, height: 1, opaque: true }).colours,
    ).to.deep.equal([]);
  });

  it("proposes roles, each colour once, and says where each comes from", async () => {
    const proposed = proposeColours(
      readPalette(await picture(["#123A3F", "#EDB64A", "#C4492A"], "flat", 1)),
    );
    const roles = Object.fromEntries(proposed.map(({ role, hex }) => [role, hex]));
    expect(roles.primary).to.equal("#123A3F");
    expect(roles.accent).to.be.oneOf(["#EDB64A", "#C4492A"]);
    expect(roles.paper).to.equal("#FFFFFF");
    expect(new Set(proposed.map(({ id }) => id)).size).to.equal(proposed.length);
    expect(proposed.every(({ from }) => from.length > 5)).to.equal(true);
    expect(
      proposeColours({ ground: undefined, colours: [] }).map(({ role }) => role),
    ).to.deep.equal(["paper", "ink"]);
  });
});
