import type { Schemas } from '../../api/client'

type Gear = Schemas['CylinderGear']

/** What is looked at or taken hold of in one cylinder. */
export function gearNamed({ gear, each }: Gear) {
  if (gear === 'bucket') return each === 1 ? 'the lobe' : 'the lobes'
  const one = gear === 'follower' ? 'follower' : 'rocker'
  return each === 1 ? `the ${one}` : `${each === 2 ? 'both' : 'all'} ${one}s`
}
/** What a dial on it lifts. */
export const lifted = ({ gear }: Gear) => (gear === 'rocker' ? 'rocker' : 'follower')

/** A cylinder whose valves are free, in a few words. */
export const isFree = ({ gear }: Gear, cylinder: number) =>
  gear === 'bucket' ? `lobes of ${cylinder} point away` : `${cylinder} is loose`

/** What tells the lap a mark comes up on. */
export const whichLap = (gear: Gear, own: number, companion: number) =>
  gear.gear === 'bucket'
    ? `Compression or overlap? Look at ${gearNamed(gear)} of ${own}, then of ${companion}.`
    : `Compression or overlap? Take hold of ${gearNamed(gear)} of ${own}, then of ${companion}.`

/** What must be so where no other cylinder tells; a two-stroke has no second lap. */
export function mustBeFree(gear: Gear, cylinder: number, twoStroke: boolean) {
  const named = gearNamed(gear).replace(/^./, (c) => c.toUpperCase())
  const free = gear.gear === 'bucket' ? `point away from the ${gear.each === 1 ? 'bucket' : 'buckets'}` : 'be loose'
  if (twoStroke) return `${named} of ${cylinder} must ${free}. Its mark comes up once a cycle: there is no other lap.`
  const else_ = gear.gear === 'bucket' ? 'if they press' : gear.each === 1 ? 'if it rocks' : 'if they rock'
  return `${named} of ${cylinder} must ${free}; ${else_}, turn once more, forwards.`
}

/** Where both cylinders show the same, or neither does. */
export const lapHints = ({ gear }: Gear) =>
  gear === 'bucket'
    ? {
        both: 'Both point away',
        neither: 'Neither points away',
        ifNeither:
          'Then neither is on compression: the crank is off its mark, or the mark is another one. Bar slowly on until one of them points away, and look at the mark again.',
      }
    : {
        both: 'Both are loose',
        neither: 'Neither is loose',
        ifNeither: 'A valve that is closed up is never loose. Go by one of these instead:',
      }
