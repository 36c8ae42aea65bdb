import { problems } from "./wording/problems";

export type ProblemCode = keyof typeof problems;
export const problemCodes = Object.keys(problems) as ProblemCode[];
type Params<C extends ProblemCode> = Parameters<(typeof problems)[C]["say"]>[0];

/** An error that a person can read: `message` is the whole sentence, `status` the HTTP answer. */
export class Problem extends Error {
  constructor(
    readonly code: ProblemCode,
    message: string,
    readonly status: number,
  ) {
    super(message);
    this.name = "Problem";
  }
}

export function problem<C extends ProblemCode>(
  code: C,
  ...params: Params<C> extends undefined ? [] : [Params<C>]
): Problem {
  const { say, status } = problems[code];
  return new Problem(code, (say as (p?: unknown) => string)(params[0]), status);
}
