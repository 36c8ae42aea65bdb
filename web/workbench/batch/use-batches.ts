import { useEventSource } from "@vueuse/core";
import { watch } from "vue";
import { BatchAnswer } from "../../../core/api";
import { useToasts } from "../../common/toasts";
import { useTemplates } from "../../new-piece/templates";
import { usePiece } from "../piece";
import { useBatch } from "./batch";

/** Keeps the batches of the open piece as they are while something shows them: told by the server whenever one moves. */
export function useBatches(): void {
  const open = usePiece();
  const batch = useBatch();
  const templates = useTemplates();
  const toasts = useToasts();
  const { data, status } = useEventSource(
    () => (open.whole ? `/api/pieces/${open.whole.id}/batches/events` : undefined),
    [],
    { autoReconnect: { delay: 2000 } },
  );
  watch(data, (said: string | null) => {
    if (said !== null) batch.told(BatchAnswer.parse(JSON.parse(said)));
  });
  // A change of the piece makes files outdated.
  watch(
    () => open.saving,
    (now) => now === "saved" && void batch.refresh(),
  );
  void batch.refresh();
  // What arranges a row is seen while it is written.
  void templates.load().catch(toasts.fail);
  // What moved while nobody listened.
  watch(status, (now) => now === "OPEN" && void batch.refresh());
}
