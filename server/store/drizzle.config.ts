import { defineConfig } from "drizzle-kit";

export default defineConfig({
  dialect: "sqlite",
  schema: "./server/store/tables.ts",
  out: "./server/store/migrations",
});
