import type { Form } from '#core/item/form'

/** The outline of a standing vessel in a field 100 high. `top` and `bottom` bound what can be filled. */
export interface VesselShape {
  readonly width: number
  readonly outline: string
  readonly inside: string
  readonly top: number
  readonly bottom: number
  readonly fittings: readonly string[]
  readonly shine: string
  readonly stem?: string
  readonly crimp?: string
}

const BOTTLE_BODY = 'M8 36q0-8 7-9.5V23h14v3.5q7 1.5 7 9.5v56q0 6-6 6H14q-6 0-6-6z'
const BOTTLE_INSIDE = 'M10 37q0-7 6.5-8.3h11q6.500 1.300 6.500 8.300v55q0 4-4 4H14q-4 0-4-4z'

const pump: VesselShape = {
  width: 44,
  outline: BOTTLE_BODY,
  inside: BOTTLE_INSIDE,
  top: 28.7,
  bottom: 96,
  fittings: ['M15 15h14v8H15z', 'M20 8h4v7h-4z', 'M9 4.500q0-2 2-2h14q3 0 3 3V8H14v3H9z'],
  shine: 'M12.500 36q0-3 3-4v60h-3z',
  stem: 'M22 24v64',
}

const dropper: VesselShape = {
  ...pump,
  fittings: ['M15 14h14v9H15z', 'M17.500 14V7q0-6 4.500-6t4.500 6v7z'],
  stem: 'M22 24v52l-2 8h4l-2-8',
}

const spray: VesselShape = {
  width: 40,
  outline: 'M7 32q0-5 5-5h16q5 0 5 5v60q0 6-6 6H13q-6 0-6-6z',
  inside: 'M9 33q0-4 4-4h14q4 0 4 4v59q0 4-4 4H13q-4 0-4-4z',
  top: 29,
  bottom: 96,
  fittings: ['M11 18h18v9H11z', 'M14 3q0-2 2-2h8q2 0 2 2v15H14z', 'M10.500 7h3.500v4h-3.500z'],
  shine: 'M11.500 34h2.600v58h-2.600z',
  stem: 'M20 28v64',
}

const tube: VesselShape = {
  width: 38,
  outline: 'M3 2h32l-5 78H8z',
  inside: 'M5.600 6.500h26.800L27.900 78H10.100z',
  top: 6.5,
  bottom: 78,
  fittings: ['M9 80h20v14q0 4-4 4H13q-4 0-4-4z'],
  shine: 'M8.500 8h3l2.600 70h-2.400z',
  crimp: 'M3.500 6h31',
}

const wand: VesselShape = {
  width: 22,
  outline: 'M3.500 39h15l.8 55q0 4-4 4H6.700q-4 0-4-4z',
  inside: 'M5.200 41h11.600l.7 52q0 3-3 3H7.500q-3 0-3-3z',
  top: 41,
  bottom: 96,
  fittings: ['M6.200 34h9.600v5H6.200z', 'M5 4q0-3 3-3h6q3 0 3 3v30H5z'],
  shine: 'M6.600 42h1.900v52H6.600z',
  stem: 'M11 40v38m-1.600-9h3.200m-3.200 3h3.200m-3.200 3h3.200',
}

/** The shape of a form that stands and is filled; a bottle for every form without a shape of its own. */
export function vesselShape(form: Form): VesselShape {
  if (form === 'tube') return tube
  if (form === 'wand') return wand
  if (form === 'spray') return spray
  return form === 'dropper' ? dropper : pump
}
