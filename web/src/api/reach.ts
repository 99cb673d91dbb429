import { ref } from 'vue'

/** Since when the server has not answered, milliseconds of this machine's clock; null while it does. */
export const goneSince = ref<number | null>(null)

/** What the server said last stays on the screen with its age; it is asked again until it answers. */
export async function reaching(request: Request): Promise<Response> {
  try {
    const response = await fetch(request)
    goneSince.value = null
    return response
  } catch (caught) {
    if (caught instanceof DOMException && caught.name === 'AbortError') throw caught
    goneSince.value ??= Date.now()
    throw caught
  }
}
