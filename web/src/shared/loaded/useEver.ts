import { ref, watch, type Ref } from 'vue'

/** Whether something was ever true: what is loaded only when asked for, and stays once it is there. */
export function useEver(now: () => boolean): Ref<boolean> {
  const ever = ref(now())
  watch(now, (yes) => yes && (ever.value = true))
  return ever
}
