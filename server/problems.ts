import { Problem, problem } from "../core/problem";
import { diskFull } from "./files/blobs";

/**
 * What a person is told of any failure: its own sentence where it has one. Anything else is the program's fault, is printed
 * for whoever runs it, and tells nothing of this machine.
 */
export function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  const full = diskFull(error);
  if (full) return full;
  if (process.env.NODE_ENV !== "test") console.error(error);
  return problem("unexpected");
}

/** An answer on its way from another thread or process, where a Problem would arrive as a bare error. */
export type Crossing<T> = { answer: T } | { problem: Pick<Problem, "code" | "message" | "status"> };

/** On the far side: runs, and sends a failure as what it is. */
export const crossing =
  <Args extends unknown[], T>(run: (...args: Args) => Promise<T>) =>
  async (...args: Args): Promise<Crossing<T>> => {
    try {
      return { answer: await run(...args) };
    } catch (error) {
      const { code, message, status } = asProblem(error);
      return { problem: { code, message, status } };
    }
  };

/** On this side: the answer, or the problem thrown again. */
export function crossed<T>(sent: Crossing<T>): T {
  if ("answer" in sent) return sent.answer;
  const { code, message, status } = sent.problem;
  throw new Problem(code, message, status);
}
