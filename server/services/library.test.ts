import { buffer } from "node:stream/consumers";
import { expect } from "chai";
import { eq } from "drizzle-orm";
import sharp from "sharp";
import { isPicture, messagePictures, type Piece } from "../../core/piece";
import { files } from "../store/tables";
import { exportCrate } from "./export";
import { readColours } from "../../core/kit";
import { importBundle } from "./import";
import { bundleOf, fileOf, testServer, type TestServer } from "../../tests/support/server";
import { shippedPlacement } from "../../core/placements";

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
    const { picture, colours } = await library.proposeColours(
      await fileOf(Buffer.from(LOGO)),
      "marrow-logo.svg",
    );
    expect(picture.vector).to.equal(true);
    const byRole = Object.fromEntries(colours.map(({ role, hex }) => [role, hex]));
    expect(byRole).to.include({ primary: "#5B2A86", accent: "#F2B705", paper: "#FFFFFF" });
    const png = await sharp(Buffer.from(LOGO)).resize(900).png().toBuffer();
    const again = await library.proposeColours(await fileOf(png), "marrow.png");
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
    const { stream } = await exportCrate(server.services, crate.body.id);
    const bundle = await bundleOf(await buffer(stream), shippedPlacement);
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

  it("are changed for every piece at once, keep what they were, and can be brought back", async () => {
    const { body: brand } = await server.ask("GET", "/api/brands/quillmere");
    const change = (hex: string, version: number) => {
      const colours = brand.colours.map((colour: { id: string }) =>
        colour.id === "tide" ? { ...colour, hex } : colour,
      );
      return server.ask("PUT", "/api/brands/quillmere", { brand: { ...brand, colours }, version });
    };
    expect((await change("#15444A", 0)).status).to.equal(200);
    const late = await change("#000000", 0);
    expect(late.status).to.equal(409);
    expect(late.body.message).to.contain("changed in another window");
    const { body } = await server.ask("GET", "/api/brands/quillmere/versions");
    expect(body.versions.map(({ changes }: { changes: string[] }) => changes)).to.deep.equal([
      ["Tide #123A3F → #15444A"],
      [],
    ]);
    const back = await server.ask("PUT", "/api/brands/quillmere", {
      brand: body.versions[1].document,
      version: 1,
    });
    expect(back.body).to.deep.equal(brand);
    const again = await server.ask("GET", "/api/brands/quillmere/versions");
    expect(again.body.versions).to.have.lengthOf(3);
  });

  it("may only name files that are there", async () => {
    const { body: brand } = await server.ask("GET", "/api/brands/saltlight");
    const logos = [{ ...brand.logos[0], file: "0".repeat(64) }];
    const { status, body } = await server.ask("PUT", "/api/brands/saltlight", {
      brand: { ...brand, logos },
      version: 0,
    });
    expect(status).to.equal(400);
    expect(body.code).to.equal("file-missing");
    expect((await server.ask("GET", "/api/brands/saltlight")).body).to.deep.equal(brand);
  });

  it("go out as tokens, CSS, a palette and a kit, and the kit comes in again", async () => {
    const get = (path: string) =>
      server.app.inject({
        url: `/api/brands/saltlight/${path}`,
        headers: { host: "localhost:4310" },
      });
    const { body: brand } = await server.ask("GET", "/api/brands/saltlight");
    for (const as of ["tokens", "css", "palette"]) {
      const { colours } = readColours((await get(`colours/${as}`)).body);
      const own = brand.colours.map(({ hex }: { hex: string }) => hex.toUpperCase());
      expect(
        colours.map(({ hex }) => hex),
        as,
      ).to.deep.equal(own);
    }
    expect((await get("colours/oils")).statusCode).to.equal(400);
    const kit = await get("kit");
    expect(kit.headers["content-disposition"]).to.contain(".zestkit");
    const bundle = await bundleOf(kit.rawPayload, shippedPlacement);
    expect(bundle.brands).to.deep.equal([brand]);
    const { brands } = await importBundle(server.services, bundle);
    expect(brands).to.deep.equal(["saltlight"]);
    const renamed = { ...bundle, brands: [{ ...brand, name: "Saltlight Two", id: "saltlight" }] };
    const second = await importBundle(server.services, renamed);
    expect(second.brands[0]).to.not.equal("saltlight");
  });
});

describe("stored pictures", () => {
  it("from before areas were looked for get theirs at the next start", async () => {
    const server = await testServer();
    const { library } = server.services;
    const [listed] = (await library.pictures()).filter(({ vector }) => !vector);
    const { areas, ...older } = await library.picture(listed!.id);
    await server.store.write((tx) =>
      tx.update(files).set({ picture: older }).where(eq(files.id, older.id)),
    );
    await library.lookAgain();
    expect((await library.picture(older.id)).areas).to.deep.equal(areas);
    expect(areas![0]).to.include({ kind: "thing", weight: 1 });
    await server.close();
  });

  it("keep what is said of them, in an export and a delivery too", async () => {
    const server = await testServer();
    const { library } = server.services;
    const { body: opened } = await server.ask("GET", "/api/pieces/opening-announcement");
    const id = messagePictures(opened.piece.message)[0]!;
    const url = `/api/pictures/${id}`;
    const said = { name: "Boats.jpg", credit: " Photo: Ana Ruiz ", licence: "Until May" };
    expect((await server.ask("PUT", url, { ...said, name: " " })).status).to.equal(400);
    expect((await server.ask("PUT", url, said)).status).to.equal(200);
    const note = { name: "Boats.jpg", credit: "Photo: Ana Ruiz", licence: "Until May" };
    expect((await server.ask("GET", url)).body).to.include(note);
    expect((await library.pictures()).find((one) => one.id === id)).to.include(note);

    const { stream } = await exportCrate(server.services, opened.crate.id);
    const bundle = await bundleOf(await buffer(stream), shippedPlacement);
    expect(bundle.notes.get(id)).to.deep.equal(note);
    const other = await testServer();
    await other.store.write((tx) => tx.delete(files).where(eq(files.id, id)));
    await importBundle(other.services, bundle);
    expect((await other.ask("GET", url)).body).to.include(note);
    await other.close();

    // What is forgotten is gone, and a look at the pixels anew keeps the rest.
    await server.ask("PUT", url, { name: "Boats.jpg", credit: note.credit, licence: "" });
    await library.lookAgain();
    const after = await library.picture(id);
    expect(after)
      .to.include({ name: "Boats.jpg", credit: note.credit })
      .and.not.to.have.property("licence");
    await server.close();
  });

  it("are laid out in threads with what was found in them, which no document is written with", async () => {
    const server = await testServer();
    const { context, library, pieces, refits } = server.services;
    const { piece } = await pieces.get("late-opening");
    const id = messagePictures(piece.message)[0]!;
    const face = { kind: "face", x: 0.7, y: 0.1, width: 0.1, height: 0.2, weight: 1 } as const;
    const picture = { ...(await library.picture(id)), areas: [face] };
    await server.store.write((tx) => tx.update(files).set({ picture }).where(eq(files.id, id)));
    const areasIn = ({ message }: Piece) =>
      Object.values(message).flatMap((filling) => (isPicture(filling) ? [filling.areas] : []));
    // What a person said wins; without it the thread is told what was found.
    const said = areasIn(piece);
    expect(areasIn((await context.pool.seen({ piece })).piece)).to.deep.equal(said);
    const message = Object.fromEntries(
      Object.entries(piece.message).map(([slot, filling]) => [
        slot,
        isPicture(filling) ? { picture: filling.picture } : filling,
      ]),
    );
    const seen = await context.pool.seen({ piece: { ...piece, message } });
    expect(areasIn(seen.piece)).to.deep.equal([[face]]);
    const led = await refits.withLead("late-opening", "story");
    expect(led.message).to.deep.equal(piece.message);
    await server.close();
  });
});
