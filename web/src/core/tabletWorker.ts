/// <reference lib="webworker" />

/** Loads the core in a worker, so that no computation ever holds up a tap. */
interface Core {
  Call(name: string, json: string): string
}

const { base } = __TABLET__
const core = (async (): Promise<Core> => {
  const { dotnet } = await import(/* @vite-ignore */ `${base}dotnet.js`)
  const { getAssemblyExports, getConfig } = await dotnet.create()
  return (await getAssemblyExports(getConfig().mainAssemblyName)).ZeroDrift.Tablet.TabletCore
})()

core.then(
  () => postMessage({ ready: true }),
  (failure) => postMessage({ failed: String(failure) }),
)

// Not by `onmessage`: where that is set, the runtime takes this worker for one of its own and waits to be told what to do.
addEventListener('message', async ({ data }: MessageEvent<{ id: number; name: string; json: string }>) => {
  try {
    postMessage({ id: data.id, answer: (await core).Call(data.name, data.json) })
  } catch (failure) {
    postMessage({ id: data.id, failure: String(failure) })
  }
})
