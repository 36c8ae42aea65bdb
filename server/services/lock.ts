import { randomBytes, scryptSync, timingSafeEqual } from "node:crypto";

const LENGTH = 32;

const derived = (key: string, salt: string): Buffer =>
  scryptSync(key.normalize("NFC"), salt, LENGTH);

/** What is stored of a key: enough to know it again, not enough to tell it. */
export function lockOf(key: string): string {
  const salt = randomBytes(16).toString("hex");
  return `${salt}:${derived(key, salt).toString("hex")}`;
}

/** Whether the key is the lock's; anything opens what is not locked. */
export function opens(lock: string | null, key: string | undefined): boolean {
  if (lock === null) return true;
  const [salt, hash] = lock.split(":");
  if (key === undefined || !salt || !hash) return false;
  return timingSafeEqual(derived(key, salt), Buffer.from(hash, "hex"));
}
