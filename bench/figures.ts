/** The value below which `share` (0..1) of the values lie. */
export function quantile(values: number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

export function table(title: string, rows: [string, string][]): void {
  const width = Math.max(...rows.map(([label]) => label.length));
  console.log(`\n${title}`);
  for (const [label, figure] of rows) console.log(`  ${label.padEnd(width)}  ${figure}`);
}
