import { useEventSource } from "@vueuse/core";
import { watch } from "vue";
import { BatchAnswer } from "../../core/api";

/**
 * Told by the server how far a piece's batches are whenever one moves, and whenever it listens again: something may have moved
 * while nobody listened.
 */
export function useBatchNews(
  piece: () => string | undefined,
  told: (now: BatchAnswer) => void,
  listens: () => void,
): void {
  const address = (): string | undefined => {
    const id = piece();
    return id === undefined ? undefined : `/api/pieces/${id}/batches/events`;
  };
  const { data, status } = useEventSource<[], BatchAnswer>(address, [], {
    autoReconnect: { delay: 2000 },
    // Each is another object, so that the same again is told again.
    serializer: { read: (said) => BatchAnswer.parse(JSON.parse(said!)) },
  });
  watch(data, (now) => now && told(now));
  watch(status, (now) => now === "OPEN" && listens());
}
