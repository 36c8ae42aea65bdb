import { Program } from "./support/browser";
import { randomFrom, Torture } from "./support/torture";

/** Bounded by minutes; the same seed makes the same choices. Exits with 1 when anything was lost. */
const minutes = Number(process.argv[2] ?? 5);
const seed = Number(process.argv[3] ?? Math.floor(Math.random() * 1e6));
const CLIENTS = 20;

const program = await Program.create("all");
const torture = new Torture(program, randomFrom(seed), CLIENTS);
try {
  // The last part is for what is still to be made.
  const until = Date.now() + minutes * 60_000 * 0.7;
  while (Date.now() < until) await torture.round(8000);
  await torture.settle();
} finally {
  await program.close();
}
const { kills, edits, files, zips, hostile, lost } = torture.figures;
console.log(`Seed ${seed}, ${CLIENTS} clients, ${kills} kills.`);
console.log(
  `${edits} edits were answered, ${files} files and ${zips} zips made, ${hostile} hostile files refused.`,
);
for (const one of lost) console.log(`Lost: ${one}`);
console.log(lost.length === 0 ? "Nothing was lost." : `${lost.length} things were lost.`);
process.exit(lost.length === 0 ? 0 : 1);
