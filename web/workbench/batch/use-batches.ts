import { watch } from "vue";
import { useBatchNews } from "../../common/batch-news";
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
  useBatchNews(
    () => open.whole?.id,
    (now) => batch.told(now),
    () => void batch.refresh(),
  );
  // A change of the piece makes files outdated.
  watch(
    () => open.saving,
    (now) => now === "saved" && void batch.refresh(),
  );
  void batch.refresh();
  // What arranges a row is seen while it is written.
  void templates.load().catch(toasts.fail);
}
