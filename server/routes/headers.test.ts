import { expect } from "chai";
import { testServer, type TestServer } from "../../tests/support/server";

describe("what a browser is heard", () => {
  let server: TestServer;
  before(async () => (server = await testServer()));
  after(() => server.close());
  const headers = async (url: string) =>
    (await server.app.inject({ url, headers: { host: "localhost" } })).headers;

  for (const [what, url] of [
    ["data", "/api/crates"],
    ["an error", "/api/pieces/none"],
  ] as const)
    it(`keeps other sites out, and scripts that are not ours: ${what}`, async () => {
      const heard = await headers(url);
      const policy = String(heard["content-security-policy"]);
      expect(policy).to.contain("default-src 'self'").and.contain("frame-ancestors 'none'");
      expect(policy).to.contain("object-src 'none'");
      // Neither inline scripts nor text that is run as one.
      expect(policy).to.match(/script-src 'self' 'wasm-unsafe-eval'(;|$)/);
      expect(heard["x-content-type-options"]).to.equal("nosniff");
      expect(heard["x-frame-options"]).to.equal("DENY");
      expect(heard["referrer-policy"]).to.equal("no-referrer");
      expect(heard["strict-transport-security"]).to.equal(undefined);
    });

  it("lets nothing run in a stored SVG that is opened by itself", async () => {
    const { body } = await server.ask("GET", "/api/pictures");
    const { id } = body.pictures[0];
    const heard = await headers(`/api/files/${id}`);
    expect(String(heard["content-security-policy"])).to.contain("default-src 'none'");
  });
});
