import { expect } from "chai";
import type { InjectOptions } from "light-my-request";
import { testServer, type TestServer } from "../../tests/support/server";

/** Requests that no page of ours makes. */
describe("odd requests are answered in a sentence", () => {
  let server: TestServer;
  before(async () => (server = await testServer()));
  after(() => server.close());

  async function ask(options: InjectOptions) {
    const answer = await server.app.inject({ headers: { host: "localhost:4310" }, ...options });
    return { status: answer.statusCode, body: answer.json() };
  }
  const edit = (payload: string) =>
    ask({
      method: "POST",
      url: "/api/pieces/opening-announcement/edits",
      headers: { host: "localhost:4310", "content-type": "application/json" },
      payload,
    });
  const typed = (to: string, was: string) =>
    `{"edit":{"changes":[{"at":["message","headline","text"],"to":"${to}","was":"${was}"}]}}`;

  it("whose address cannot be read", async () => {
    for (const url of ["/%", "/api/pieces/%ED%A0%80", "/api/pieces/%", "/%zz"]) {
      const { status, body } = await ask({ url });
      expect(status, url).to.equal(400);
      expect(body.message, url).to.contain("Nothing was changed");
      expect(body.message, url).not.to.match(/\.\. *Nothing|node_modules/);
    }
    for (const id of ["%00", "..%2f..%2fetc", "a".repeat(90)])
      expect((await ask({ url: `/api/pieces/${id}` })).status, id).to.be.within(400, 499);
  });

  it("that are no JSON, or none of ours", async () => {
    for (const payload of ["", "{", "null", "[]", '"a"', "1e999"]) {
      const { status, body } = await edit(payload);
      expect(status, payload).to.equal(400);
      expect(body.message, payload).to.contain("Nothing was changed");
    }
  });

  it("that are nested a hundred thousand deep", async () => {
    const [open, close] = ['{"a":'.repeat(100_000), "}".repeat(100_000)];
    for (const payload of [`${open}1${close}`, `${"[".repeat(100_000)}${"]".repeat(100_000)}`]) {
      const { status, body } = await edit(payload);
      expect(status).to.equal(400);
      expect(body.code).to.equal("request-invalid");
    }
  });

  it("that put something deep where a name belongs", async () => {
    for (const depth of [10, 90, 3000]) {
      const deep = `${"[".repeat(depth)}${"]".repeat(depth)}`;
      const payload = `{"edit":{"changes":[{"at":["title"],"to":${deep},"was":null}]}}`;
      const { status, body } = await edit(payload);
      expect(status, String(depth)).to.be.within(400, 409);
      expect(body.message).to.be.a("string");
    }
  });

  it("that are too large", async () => {
    const { status, body } = await edit(typed("x".repeat(40 * 1024 * 1024), ""));
    expect(status).to.equal(413);
    expect(body.message).to.contain("32 MB").and.contain("Nothing was stored");
  });

  it("that hold half a character, which is shown as what is missing and can be written over", async () => {
    const { status, body } = await edit(typed("Half \\ud83d", "Boats at rest"));
    expect(status).to.equal(200);
    expect(body.piece.message.headline.text).to.equal("Half \ufffd");
    const whole = await edit(typed("Whole \\ud83d\\udea4", "Half \\ud83d"));
    expect(whole.body.piece.message.headline.text).to.equal("Whole 🚤");
    const { body: read } = await ask({ url: "/api/pieces/opening-announcement" });
    expect(read.piece.message.headline.text).to.equal("Whole 🚤");
  });

  it("that name a route that is not there", async () => {
    expect((await ask({ method: "PUT", url: "/api/nothing" })).status).to.equal(404);
  });
});
