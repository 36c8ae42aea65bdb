/**
 * A length as people type it: a number, or a sum of numbers with + − × ÷ and brackets, such as “1080/3”. Undefined for
 * anything else. Our own grammar, read by recursive descent.
 */
export function readSum(typed: string): number | undefined {
  const signs = typed
    .replace(/\s+|px/g, "")
    .replace(/×/g, "*")
    .replace(/÷/g, "/");
  const tokens = signs.replace(/[−–]/g, "-").match(/\d+(?:[.,]\d+)?|[-+*/()]|./g) ?? [];
  let at = 0;

  function number(): number | undefined {
    const token = tokens[at++];
    if (token === "(") {
      const inner = sum();
      return tokens[at++] === ")" ? inner : undefined;
    }
    if (token === "-") return negated(number());
    return token !== undefined && /^\d/.test(token) ? Number(token.replace(",", ".")) : undefined;
  }

  function chain(part: () => number | undefined, signs: string): number | undefined {
    let value = part();
    while (value !== undefined && tokens[at] !== undefined && signs.includes(tokens[at]!)) {
      const sign = tokens[at++]!;
      const next = part();
      value = next === undefined ? undefined : APPLY[sign]!(value, next);
    }
    return value;
  }
  const product = () => chain(number, "*/");
  const sum = (): number | undefined => chain(product, "+-");

  const value = sum();
  return at === tokens.length && value !== undefined && Number.isFinite(value) ? value : undefined;
}

const negated = (value: number | undefined): number | undefined =>
  value === undefined ? undefined : -value;

const APPLY: Record<string, (a: number, b: number) => number> = {
  "+": (a, b) => a + b,
  "-": (a, b) => a - b,
  "*": (a, b) => a * b,
  "/": (a, b) => a / b,
};
