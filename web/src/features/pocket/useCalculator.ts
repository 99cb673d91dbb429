import { computed, reactive, ref, shallowRef, watch, type ComputedRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../../core/call'
import { mmPerThou } from '../../shared/figures/lengths'
import { useFigures } from '../../shared/figures/useFigures'
import { usePreferences } from '../../shared/preferences'
import { readTyped } from './read'
import type { Answer, Tool, Typed } from './tool'

/** What is typed into the calculator that is chosen, and what the core makes of it; the address carries what was typed. */
export function useCalculator(chosen: ComputedRef<Tool>) {
  const route = useRoute()
  const router = useRouter()
  const preferences = usePreferences()
  const figures = useFigures()
  const typed = reactive<Typed>({})
  const given = shallowRef<Answer | null>(null)
  const failure = ref<unknown>()
  const working = ref(false)
  if (route.query.unit === 'mm' || route.query.unit === 'thou') preferences.unit = route.query.unit

  /** A starting figure in mm, in the unit shown. */
  const startOf = (ask: { kind: string; start: string }) =>
    ask.kind === 'length' && ask.start && preferences.unit === 'thou'
      ? String(Number((Number(ask.start) / mmPerThou).toFixed(1)))
      : ask.start
  watch(
    chosen,
    (now) => {
      for (const key of Object.keys(typed)) delete typed[key]
      for (const ask of now.asks)
        typed[ask.name] = typeof route.query[ask.name] === 'string' ? (route.query[ask.name] as string) : startOf(ask)
      given.value = null
      failure.value = undefined
    },
    { immediate: true },
  )
  // A change of unit changes the figures, not the gap.
  watch(
    () => preferences.unit,
    (unit) => {
      for (const ask of chosen.value.asks) {
        const value = Number(String(typed[ask.name] ?? '').replace(',', '.'))
        if (ask.kind === 'length' && typed[ask.name]?.trim() && !Number.isNaN(value))
          typed[ask.name] = String(
            Number((unit === 'thou' ? value / mmPerThou : value * mmPerThou).toFixed(unit === 'thou' ? 2 : 4)),
          )
      }
    },
  )

  const reading = computed(() => readTyped(chosen.value.asks, typed, preferences.unit))
  let timer: ReturnType<typeof setTimeout> | undefined
  let asked = 0
  watch(
    [typed, chosen, () => preferences.unit],
    () => {
      clearTimeout(timer)
      timer = setTimeout(() => void work(), 200)
    },
    { immediate: true, deep: true },
  )
  async function work() {
    const [mine, tool, { read, complaint }] = [++asked, chosen.value, reading.value]
    if (complaint) return
    working.value = true
    try {
      const body: unknown = await call(tool.call, tool.body(read) as never)
      if (mine !== asked) return
      given.value = tool.say(body as never, read, figures)
      failure.value = undefined
    } catch (caught) {
      if (mine === asked) failure.value = caught
    } finally {
      if (mine === asked) working.value = false
    }
    // The link carries what was typed.
    void router.replace({
      query: {
        ...Object.fromEntries(
          tool.asks.filter((a) => typed[a.name] !== startOf(a)).map((a) => [a.name, typed[a.name]]),
        ),
        unit: preferences.unit,
      },
    })
  }
  /** The server's own sentence stands by the answer; a field is marked where its name can be told. */
  const complaint = (name: string) =>
    reading.value.complaint?.name === name ? reading.value.complaint.text : undefined
  return { typed, given, failure, working, complaint, work }
}
