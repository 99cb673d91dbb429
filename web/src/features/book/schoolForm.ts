import type { Schemas } from '../../api/client'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'
import { namesOf, stopsOf, stopsText, type StopUnit } from './bookStops'

/** How a book does it at the engine, as it is typed. */
export const emptySchools = () => ({
  method: 'twoStop' as Schemas['TurningMethod'],
  order: 'byCylinder' as Schemas['PointOrder'],
  setting: '' as Schemas['SettingOrder'] | '',
  judging: 'window' as Schemas['JudgingSchool'],
  manner: 'bladeOut' as Schemas['SettingManner'],
  measuring: 'blades' as Schemas['MeasuringMeans'],
  dialConversion: '',
  dialContact: '',
  pointNames: '',
  stops: '',
  stopUnit: 'crankDegrees' as StopUnit,
  pins: '',
  pulley: '',
  camMark: '',
  rotor: false,
  spark: false,
  interference: false,
})
export type SchoolForm = ReturnType<typeof emptySchools>

/** The schools of a type that is in the book. */
export function schoolsOf(type: Schemas['EngineTypeResponse']): SchoolForm {
  const names = type.points.map((p) => p.bookName ?? '')
  return {
    method: type.method,
    order: type.order,
    setting: type.setting ?? '',
    judging: type.judging,
    manner: type.manner,
    measuring: type.measuring,
    dialConversion: type.dialConversion == null ? '' : String(type.dialConversion),
    dialContact: type.dialContact ?? '',
    pointNames: names.every(Boolean) ? names.join(names.some((n) => n.includes(' ')) ? ', ' : ' ') : '',
    stops: stopsText(type.bookStops),
    stopUnit: 'crankDegrees',
    pins: type.pins ?? '',
    pulley: type.pulleyMm == null ? '' : String(type.pulleyMm),
    camMark: type.camMark ?? '',
    rotor: type.rotor,
    spark: type.spark,
    interference: type.interference,
  }
}

/** What can be told wrong before anything is sent, by field. */
export const schoolComplaints = (form: SchoolForm): Record<string, string | undefined> => ({
  dialConversion: notANumber(form.dialConversion),
  pulleyMm: notANumber(form.pulley),
  bookStops:
    form.method === 'book' && stopsOf(form.stops, form.stopUnit).some((s) => Number.isNaN(s.crankDeg))
      ? 'Each line needs where it stops, a colon and its points, such as 0: 1I 1E 2I 3E.'
      : undefined,
})

/** As the server wants it. */
export const schoolRequest = (form: SchoolForm) => ({
  method: form.method,
  order: form.order,
  setting: form.setting || null,
  judging: form.judging,
  manner: form.manner,
  measuring: form.measuring,
  dialConversion: typedNumber(form.dialConversion) ?? null,
  // Emptied is said too: nothing given leaves what stands.
  dialContact: form.dialContact.trim(),
  pointNames: namesOf(form.pointNames),
  bookStops: form.method === 'book' ? stopsOf(form.stops, form.stopUnit) : null,
  pins: form.pins.trim(),
  pulleyMm: typedNumber(form.pulley) ?? null,
  camMark: form.camMark.trim(),
  rotor: form.rotor,
  spark: form.spark,
  interference: form.interference,
  emptied: [
    ...(form.dialConversion.trim() ? [] : ['dialConversion']),
    ...(form.pulley.trim() ? [] : ['pulleyMm']),
    ...(form.setting ? [] : ['setting']),
  ],
  speaksCamTurns: form.method === 'book' && form.stopUnit.startsWith('cam'),
})
