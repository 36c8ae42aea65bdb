import { spawn, type ChildProcess } from "node:child_process";
import { cp, mkdtemp, rm } from "node:fs/promises";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout } from "node:timers/promises";
import { chromium, type Browser, type BrowserContext, type Page } from "playwright-core";
import { chromium as installed, serverEnvironment } from "../../scripts/setup.mjs";
import { root } from "./demo";

const QUIET = [
  "--headless",
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];

export const launch = (executablePath = installed.path): Promise<Browser> =>
  chromium.launch({ executablePath, args: QUIET });

/** Chooses one of a list by its name, as a person does. */
export async function choose(
  page: Page,
  list: string | RegExp,
  option: string | RegExp,
): Promise<void> {
  await page.getByRole("combobox", { name: list }).click();
  await page.getByRole("option", { name: option, exact: typeof option === "string" }).click();
}

export async function freePort(): Promise<number> {
  const server = createServer();
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const address = server.address();
  await new Promise((resolve) => server.close(resolve));
  if (address === null || typeof address === "string") throw new Error("no port");
  return address.port;
}

/** The built program, running as a person would run it, over a data folder of its own. */
export class Program {
  private process: ChildProcess | undefined;
  output = "";

  private constructor(
    readonly folder: string,
    readonly port: number,
  ) {}

  /** With the demo's pieces in a few sizes or in all; see `seeded.mjs`. */
  static async create(sizes: "few" | "all" = "few"): Promise<Program> {
    const folder = await mkdtemp(join(tmpdir(), "zest-e2e-"));
    const seed = sizes === "few" ? process.env.ZEST_SEED : process.env.ZEST_SEED_WHOLE;
    if (seed) await cp(seed, folder, { recursive: true });
    const program = new Program(folder, await freePort());
    await program.start();
    return program;
  }

  get url(): string {
    return `http://localhost:${this.port}`;
  }

  get pid(): number {
    return this.process?.pid ?? -1;
  }

  start(): Promise<void> {
    const child = spawn(
      process.execPath,
      ["--enable-source-maps", join(root, "dist/server/main.js")],
      {
        env: {
          ...process.env,
          ...serverEnvironment,
          ZEST_ROOT: root,
          ZEST_DATA: this.folder,
          ZEST_PORT: String(this.port),
          // What is in a picture is found by tests of its own; the browser has the machine to itself.
          ZEST_FACES: "no",
          ZEST_BATCHES: process.env.ZEST_BATCHES ?? "no",
        },
      },
    );
    this.process = child;
    return new Promise((resolve, reject) => {
      const hear = (chunk: Buffer) => {
        this.output += chunk.toString();
        if (this.output.includes("is ready at")) resolve();
      };
      child.stdout.on("data", hear);
      child.stderr.on("data", hear);
      child.once("exit", (status) => reject(new Error(`ended with ${status}: ${this.output}`)));
    });
  }

  async end(signal: NodeJS.Signals = "SIGTERM"): Promise<void> {
    const child = this.process;
    if (!child || child.exitCode !== null) return;
    const ended = new Promise((resolve) => child.once("exit", resolve));
    child.kill(signal);
    await ended;
    this.output = "";
  }

  async close(): Promise<void> {
    await this.end();
    await rm(this.folder, { recursive: true, force: true });
  }

  /** Sends one file, as a form does. */
  async send<T>(path: string, name: string, bytes: Uint8Array): Promise<T> {
    const form = new FormData();
    form.append("file", new Blob([Buffer.from(bytes)]), name);
    return (await (await fetch(`${this.url}${path}`, { method: "POST", body: form })).json()) as T;
  }

  async ask<T>(path: string, body?: object): Promise<T> {
    const response = await fetch(`${this.url}${path}`, {
      ...(body
        ? {
            method: "POST",
            body: JSON.stringify(body),
            headers: { "content-type": "application/json" },
          }
        : {}),
    });
    return (await response.json()) as T;
  }
}

/** A page that fails its test when the application reports an error. */
export async function openPage(
  context: BrowserContext,
  url: string,
  errors: string[],
): Promise<Page> {
  const page = await context.newPage();
  page.on("pageerror", (error) => errors.push(error.message));
  page.on("console", (message) => {
    // The browser itself logs every refused request; the application shows those in its own words.
    const ownLog = message.text().startsWith("Failed to load resource");
    if (message.type() === "error" && !ownLog) errors.push(message.text());
  });
  await page.goto(url);
  return page;
}

/** Holds within a few seconds: a page takes up what it was told by pointer and keys when it comes to it. */
export async function eventually(claim: () => Promise<unknown>): Promise<void> {
  const until = Date.now() + 5000;
  for (;;)
    try {
      await claim();
      return;
    } catch (error) {
      if (Date.now() > until) throw error;
      await setTimeout(50);
    }
}

/** Waits until all that was changed is kept; what the page was told by pointer and keys it takes up before its next frame. */
export async function saved(page: Page): Promise<void> {
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(resolve)));
  const status = page.getByRole("status");
  await status.filter({ hasText: /^Saved$/ }).waitFor();
}

/** Waits until the application says that the sizes on screen are painted, pictures included. */
export async function painted(page: Page): Promise<void> {
  await page.waitForFunction(() => document.querySelector("canvas[aria-busy=true]") === null);
}

/**
 * For who reads the pixels: a canvas that a worker paints reaches the screen with a later frame, so the screen must also
 * stand still.
 */
export async function settled(page: Page): Promise<void> {
  let before = "";
  let same = 0;
  while (same < 3) {
    await painted(page);
    const now = (await page.screenshot({ type: "jpeg", quality: 60 })).toString("base64");
    same = now === before ? same + 1 : 0;
    before = now;
    await page.waitForTimeout(50);
  }
}
