// Runs the published core for the browser in Node: one request a line in, one answer a line out.
import { createInterface } from 'node:readline'

const { dotnet } = await import(process.argv[2])
const { getAssemblyExports, getConfig } = await dotnet.create()
const core = (await getAssemblyExports(getConfig().mainAssemblyName)).ZeroDrift.Tablet.TabletCore
for await (const line of createInterface({ input: process.stdin })) {
  const { name, json } = JSON.parse(line)
  process.stdout.write(JSON.stringify(core.Call(name, json)) + '\n')
}
