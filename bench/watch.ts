import { readdirSync, readFileSync } from "node:fs";

/** Samples what a process and those that it has begun take. */
export class Watch {
  most = 0;

  constructor(private readonly pid: number) {}

  /** The most, in MB, while something is done. */
  async during(act: () => Promise<unknown>): Promise<number> {
    let peak = 0;
    const sample = () => (peak = Math.max(peak, residentOf(this.pid)));
    const timer = setInterval(sample, 100);
    sample();
    await act();
    sample();
    clearInterval(timer);
    this.most = Math.max(this.most, peak);
    return peak;
  }
}

function residentOf(pid: number): number {
  try {
    const [, kB] = readFileSync(`/proc/${pid}/status`, "utf8").match(/^VmRSS:\s+(\d+)/m) ?? [];
    const own = Number(kB ?? 0) / 1000;
    const children = readdirSync(`/proc/${pid}/task`).flatMap((task) =>
      readFileSync(`/proc/${pid}/task/${task}/children`, "utf8").split(" ").filter(Boolean),
    );
    return children.reduce((sum, child) => sum + residentOf(Number(child)), own);
  } catch {
    return 0;
  }
}
