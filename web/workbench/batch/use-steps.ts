import { computed, ref, shallowRef, type ShallowRef } from "vue";

/** As many states as anybody goes back to. */
const MOST = 100;

/** Changes of a value that are taken back and made again. When it was set from elsewhere, they begin anew. */
export function useSteps<Value>(value: ShallowRef<Value>) {
  const states = shallowRef<Value[]>([]);
  const at = ref(0);
  const isOurs = computed(() => states.value[at.value] === value.value);

  function change(next: Value): void {
    const before = isOurs.value ? states.value.slice(0, at.value + 1) : [value.value];
    states.value = [...before, next].slice(-MOST);
    at.value = states.value.length - 1;
    value.value = next;
  }

  function go(by: -1 | 1): void {
    if (!can(by)) return;
    at.value += by;
    value.value = states.value[at.value]!;
  }

  const can = (by: -1 | 1): boolean => {
    const to = at.value + by;
    return isOurs.value && to >= 0 && to < states.value.length;
  };

  return {
    change,
    undo: () => go(-1),
    redo: () => go(1),
    canUndo: computed(() => can(-1)),
    canRedo: computed(() => can(1)),
  };
}
