import { reactive } from 'vue'
import { answer, api, sentence, type Schemas } from '../../api/client'

/** A job held over a day: where, and what the server says it would mean. */
export interface Moving {
  jobId: string
  personId: string
  date: string
  check: Schemas['CheckResponse'] | null
  failure: string
}

/**
 * Holds a job over a day, by mouse, finger or keys, and asks what that would mean; the last asked is the one that is answered.
 *
 *     const { state, hold, over, letGo } = useMoving()
 */
export function useMoving() {
  const state = reactive<{ moving: Moving | null }>({ moving: null })
  let asked = 0
  async function ask() {
    const held = state.moving
    if (!held) return
    const mine = ++asked
    try {
      const check = await answer(
        api.POST('/api/plan/check', { body: { jobId: held.jobId, personId: held.personId, date: held.date } }),
      )
      if (mine === asked && state.moving) Object.assign(state.moving, { check, failure: '' })
    } catch (caught) {
      if (mine === asked && state.moving) Object.assign(state.moving, { check: null, failure: sentence(caught) })
    }
  }
  function hold(jobId: string, personId: string, date: string) {
    state.moving = { jobId, personId, date, check: null, failure: '' }
    void ask()
  }
  function over(personId: string, date: string) {
    const held = state.moving
    if (!held || (held.personId === personId && held.date === date)) return
    Object.assign(held, { personId, date, check: null })
    void ask()
  }
  function letGo(): Moving | null {
    const held = state.moving
    state.moving = null
    asked++
    return held
  }
  return { state, hold, over, letGo }
}
