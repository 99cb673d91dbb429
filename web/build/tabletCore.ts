import { createHash } from 'node:crypto'
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import type { Plugin } from 'vite'

/** Where `dotnet publish src/ZeroDrift.Tablet` leaves the core for the browser. */
const published = resolve(import.meta.dirname, '../../.build/tablet/wwwroot/_framework')

const files = () => (existsSync(published) ? readdirSync(published).filter((f) => /\.(wasm|js)$/.test(f)) : [])

/** Every version has a folder of its own, so that its files never change and may be kept for good. */
function version(): string {
  const hash = createHash('sha256')
  for (const file of files().sort()) hash.update(file).update(readFileSync(join(published, file)))
  return hash.digest('hex').slice(0, 12)
}

/** Puts the published tablet core beside the front end, precompressed, and tells the page where it lies. */
export function tabletCore(): Plugin {
  const base = `/tablet/${version()}/`
  return {
    name: 'tablet-core',
    config: () => ({ define: { __TABLET__: JSON.stringify({ base, files: files() }) } }),
    writeBundle({ dir }) {
      const to = join(dir!, base)
      mkdirSync(to, { recursive: true })
      for (const file of files())
        for (const form of [file, `${file}.br`])
          if (existsSync(join(published, form))) cpSync(join(published, form), join(to, form))
    },
  }
}
