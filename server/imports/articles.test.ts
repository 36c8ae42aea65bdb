import { PDFDocument } from "@napi-rs/canvas";
import { expect } from "chai";
import { strToU8, zipSync } from "fflate";
import { testServer, type TestServer } from "../../tests/support/server";
import { htmlBlocks, markdownBlocks, readArticleFile } from "./articles";

const MARKDOWN = `# Why we mend

Repairing a *toaster* takes an hour &amp; a [coffee](https://cups.example).

## What you need

- A screwdriver
- **Patience**

> I stayed for the cake.
> — Mira

![a toaster](toaster.jpg)
`;

const BLOCKS = [
  { kind: "heading", level: 1, text: "Why we mend" },
  { kind: "text", text: "Repairing a toaster takes an hour & a coffee." },
  { kind: "heading", level: 2, text: "What you need" },
  { kind: "list", items: ["A screwdriver", "Patience"] },
  { kind: "quote", text: "I stayed for the cake. — Mira" },
];

const HTML = `<!doctype html><html><head><title>x</title><style>p{}</style></head><body>
<nav><ul><li>Home</li></ul></nav>
<h1>Why we mend</h1><p>Repairing a <em>toaster</em> takes an hour &amp; a <a href="x">coffee</a>.</p>
<h2>What you need</h2><ul><li>A screwdriver</li><li><p><b>Patience</b></p></li></ul>
<blockquote><p>I stayed for the cake.</p><p>— Mira</p></blockquote>
<script>alert("no")</script><footer>Imprint</footer></body></html>`;

/** The least that a word processor's file holds (ECMA-376, Office Open XML). */
function docx(): Buffer {
  const paragraph = (text: string, style?: string): string =>
    `<w:p>${style ? `<w:pPr><w:pStyle w:val="${style}"/></w:pPr>` : ""}<w:r><w:t>${text}</w:t></w:r></w:p>`;
  const body = [
    paragraph("Why we mend", "Heading1"),
    paragraph("Repairing takes an hour."),
    paragraph("What you need", "Heading2"),
    paragraph("Light and patience."),
  ].join("");
  const types = "http://schemas.openxmlformats.org/package/2006";
  return Buffer.from(
    zipSync({
      "[Content_Types].xml": strToU8(
        `<Types xmlns="${types}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>`,
      ),
      "_rels/.rels": strToU8(
        `<Relationships xmlns="${types}/relationships"><Relationship Id="r" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/></Relationships>`,
      ),
      "word/document.xml": strToU8(
        `<w:document xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:body>${body}</w:body></w:document>`,
      ),
    }),
  );
}

function pdf(): Buffer {
  const document = new PDFDocument();
  const page = document.beginPage(400, 400);
  page.font = "16px sans-serif";
  ["Why we mend", "Repairing takes an hour.", "It saves a toaster."].forEach((line, i) =>
    page.fillText(line, 30, 60 + 40 * i),
  );
  document.endPage();
  return document.close();
}

const reason = async (bytes: Buffer, name: string): Promise<string> => {
  const failed = await readArticleFile(bytes, name).then(
    () => undefined,
    (error: Error) => error,
  );
  return failed?.message ?? "";
};

describe("an article from outside", () => {
  it("is read in its parts from Markdown and HTML, without what stands around it", async () => {
    expect(markdownBlocks(MARKDOWN)).to.deep.equal(BLOCKS);
    expect(htmlBlocks(HTML)).to.deep.equal(BLOCKS);
    expect(await readArticleFile(Buffer.from(HTML), "saved page")).to.deep.equal(BLOCKS);
    expect(await readArticleFile(Buffer.from(MARKDOWN), "notes.md")).to.deep.equal(BLOCKS);
  });

  it("is read from a word processor, from a PDF and from plain text of older programs", async () => {
    expect(await readArticleFile(docx(), "mend.docx")).to.deep.equal([
      { kind: "heading", level: 1, text: "Why we mend" },
      { kind: "text", text: "Repairing takes an hour." },
      { kind: "heading", level: 2, text: "What you need" },
      { kind: "text", text: "Light and patience." },
    ]);
    const text = JSON.stringify(await readArticleFile(pdf(), "mend.pdf"));
    for (const line of ["Why we mend", "Repairing takes an hour.", "It saves a toaster."])
      expect(text).to.include(line);
    const older = Buffer.from("F\u00fcnf Fehler\n\nTeig braucht Zeit.", "latin1");
    expect(await readArticleFile(older, "brot.txt")).to.deep.equal([
      { kind: "heading", level: 1, text: "Fünf Fehler" },
      { kind: "text", text: "Teig braucht Zeit." },
    ]);
  });

  it("that cannot be read is refused in a sentence", async () => {
    expect(await reason(Buffer.from("  \n"), "empty.txt")).to.match(
      /^empty\.txt cannot be cut .* no words/,
    );
    expect(await reason(Buffer.from([0x89, 0x50, 0, 0, 1, 2]), "a.png")).to.include(
      "none of Markdown",
    );
    expect(await reason(docx().subarray(0, 300), "cut.docx")).to.include("no .docx");
    expect(await reason(Buffer.from("%PDF-1.4 and nothing more"), "cut.pdf")).to.include(
      "cannot be opened",
    );
  });
});

describe("articles at the door", () => {
  let server: TestServer;
  before(async () => (server = await testServer()));
  after(() => server.close());

  it("become an outline of as many slides as are wanted, with the rest told", async () => {
    const { status, body } = await server.ask("POST", "/api/articles/text?slides=2", {
      text: MARKDOWN,
    });
    expect(status).to.equal(200);
    expect(body.outline).to.match(/^# Why we mend\n/);
    expect(body.outline.match(/^---$/gm)).to.have.lengthOf(1);
    expect(body.leftOut).to.deep.equal([{ text: "I stayed for the cake. — Mira", slide: 1 }]);
  });

  it("are refused when they are books, or the number is none", async () => {
    const text = "Nobody hurries here at all. ".repeat(4000);
    const long = await server.ask("POST", "/api/articles/text", { text });
    expect(long.status).to.equal(400);
    expect(long.body.message).to.include("Take a chapter of it");
    const many = await server.ask("POST", "/api/articles/text?slides=99", { text: "A. B." });
    expect(many.status).to.equal(400);
  });
});
