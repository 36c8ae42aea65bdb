import { expect } from "chai";
import sharp from "sharp";
import { exportCrate } from "../imports/export";
import { readBundle, unzip } from "../imports/bundle";
import { testServer, type TestServer } from "../../tests/support/server";

const LOGO = `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="160"><rect width="400" height="160" fill="#ffffff"/><circle cx="80" cy="80" r="60" fill="#5B2A86"/><rect x="170" y="50" width="200" height="24" fill="#5B2A86"/><rect x="170" y="90" width="140" height="20" fill="#F2B705"/></svg>`;

describe("brand kits", () => {
  let server: TestServer;
  before(async () => (server = await testServer()));
  after(() => server.close());

  const kit = {
    name: "Marrow & Pip",
    colours: [
      { name: "Plum", hex: "#5B2A86", role: "primary" },
      { name: "Plum", hex: "#F2B705", role: "accent" },
      { name: "White", hex: "#FFFFFF", role: "paper" },
    ],
    headline: { shelf: "vollkorn" },
    text: { shelf: "alegreya-sans" },
  };

  it("have colours proposed from a logo, in a thread", async () => {
    const { library } = server.services;
    const { picture, colours } = await library.proposeColours(Buffer.from(LOGO), "marrow-logo.svg");
    expect(picture.vector).to.equal(true);
    const byRole = Object.fromEntries(colours.map(({ role, hex }) => [role, hex]));
    expect(byRole).to.include({ primary: "#5B2A86", accent: "#F2B705", paper: "#FFFFFF" });
    const png = await sharp(Buffer.from(LOGO)).resize(900).png().toBuffer();
    const again = await library.proposeColours(png, "marrow.png");
    expect(again.colours.map(({ hex }) => hex)).to.include.members(["#5B2A86", "#F2B705"]);
  }).timeout(60_000);

  it("are made of colours and shelf typefaces, and can be used at once", async () => {
    const { status, body } = await server.ask("POST", "/api/brands", kit);
    expect(status).to.equal(200);
    expect(body.colours.map((colour: { id: string }) => colour.id)).to.deep.equal([
      "plum",
      "plum-2",
      "white",
    ]);
    const crate = await server.ask("POST", "/api/crates", { name: "First", brand: body.id });
    const piece = await server.ask("POST", `/api/crates/${crate.body.id}/pieces`, {
      from: "late-opening",
    });
    expect(piece.body.piece.brand).to.equal(body.id);
    // Its typefaces ship with the program: another copy of it needs no files for them.
    const { bytes, name } = await exportCrate(server.services, crate.body.id);
    const bundle = await readBundle(unzip(bytes, name));
    expect(bundle.brands.map(({ name }) => name)).to.deep.equal(["Marrow & Pip"]);
  });

  it("are refused with a reason when a name is taken, a typeface unknown or a colour wrong", async () => {
    const refused = async (change: object) => {
      const { status, body } = await server.ask("POST", "/api/brands", { ...kit, ...change });
      expect(status).to.equal(400);
      return body.message as string;
    };
    expect(await refused({ name: "marrow & pip" })).to.contain(
      "already; give this one another name",
    );
    expect(await refused({ name: "Other", text: { shelf: "nothing" } })).to.contain(
      "not on the shelf",
    );
    expect(
      await refused({ name: "Other", colours: [{ name: "x", hex: "red", role: "ink" }] }),
    ).to.contain("six hex digits");
    expect(await refused({ name: " " })).to.contain("a brand needs a name");
  });
});
