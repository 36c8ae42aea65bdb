import { expect } from "chai";
import type { SetAnswer, SetState } from "../../core/api";
import { typed } from "../../tests/support/edits";
import { testServer, type TestServer } from "../../tests/support/server";

const CRATE = "/api/crates/boats-at-rest";

describe("sets over HTTP", () => {
  let server: TestServer;
  let copies: string[];
  const lay = (like: string, pieces: string[]) =>
    server.ask("POST", `${CRATE}/set`, { like, pieces });
  const piece = async (id: string) => (await server.ask("GET", `/api/pieces/${id}`)).body;
  const state = async (id: string) =>
    (await server.ask("GET", `/api/pieces/${id}/set`)).body as SetState;

  before(async () => {
    server = await testServer();
    const copy = async (): Promise<string> =>
      (await server.ask("POST", `${CRATE}/pieces`, { from: "opening-announcement" })).body.piece.id;
    copies = [await copy(), await copy()];
    for (const [at, headline] of ["Low tide, no hurry", "Nachts im Museum"].entries()) {
      const edit = typed(headline, "Boats at rest");
      await server.ask("POST", `/api/pieces/${copies[at]}/edits`, { edit });
    }
  });
  after(() => server.close());

  it("are laid out in the arrangement of one of them, each as a step that can be undone", async () => {
    const before = await piece("late-opening");
    const { status, body } = await lay("opening-announcement", [...copies, "late-opening"]);
    expect(status).to.equal(200);
    const { pieces, left } = body as SetAnswer;
    expect(pieces.map(({ id }) => id)).to.have.members([
      "opening-announcement",
      "late-opening",
      ...copies,
    ]);
    expect(left).to.deep.equal([]);
    const model = await piece("opening-announcement");
    const laid = await piece("late-opening");
    expect(laid.piece.arrangement).to.deep.equal(model.piece.arrangement);
    expect(laid.piece.message).to.deep.equal(before.piece.message);
    expect(laid.undo).to.equal("laid out as a set");
    const { body: crates } = await server.ask("GET", "/api/crates");
    const sets = crates.crates[0].pieces.map(({ set }: { set?: string }) => set);
    expect(sets.filter((set: string) => set === model.piece.siblings.set)).to.have.lengthOf(4);
    const undone = (await server.ask("POST", "/api/pieces/late-opening/undo")).body;
    expect(undone.piece).to.deep.equal(before.piece);
    expect(await state("late-opening")).to.deep.equal({ pieces: [], upToDate: true });
  });

  it("know of each other, and whether they say what they were laid out for", async () => {
    await lay("opening-announcement", copies);
    expect((await state(copies[0]!)).pieces.map(({ id }) => id)).to.deep.equal([
      "opening-announcement",
      ...copies,
    ]);
    expect((await state(copies[0]!)).upToDate).to.equal(true);
    const edit = typed("Whatever the tide has left behind", "Nachts im Museum");
    await server.ask("POST", `/api/pieces/${copies[1]}/edits`, { edit });
    expect((await state(copies[0]!)).upToDate).to.equal(false);
    await lay(
      copies[0]!,
      (await state(copies[0]!)).pieces.map(({ id }) => id),
    );
    expect((await state(copies[0]!)).upToDate).to.equal(true);
    await server.ask("PUT", `/api/pieces/${copies[1]}/filing`, { archived: true });
    expect((await state(copies[0]!)).pieces).to.have.lengthOf(2);
    await server.ask("PUT", `/api/pieces/${copies[1]}/filing`, { archived: false });
  });

  it("leave carousels as they are, and are refused in a sentence where there is no set", async () => {
    const strip = (await server.ask("GET", "/api/crates")).body.crates[1].pieces[0].id as string;
    await server.ask("PUT", `/api/pieces/${strip}/filing`, { crate: "boats-at-rest" });
    const answer = await lay(copies[0]!, [copies[1]!, strip]);
    expect(answer.status, JSON.stringify(answer.body)).to.equal(200);
    const { left } = answer.body as SetAnswer;
    expect(left.map(({ id }) => id)).to.deep.equal([strip]);
    const said = async (...about: Parameters<typeof lay>) => {
      const { status, body } = await lay(...about);
      return [status, body.code];
    };
    expect(await said(strip, copies)).to.deep.equal([400, "carousel-leads-set"]);
    expect(await said(copies[0]!, [strip])).to.deep.equal([400, "set-too-small"]);
    expect(await said(copies[0]!, ["float-before-lunch"])).to.deep.equal([404, "not-found"]);
    expect(await said(copies[0]!, [])).to.deep.equal([400, "request-invalid"]);
    expect((await server.ask("GET", "/api/pieces/nobody/set")).status).to.equal(404);
  });
});
