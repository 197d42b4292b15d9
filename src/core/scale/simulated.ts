/** A scale that is not there: settles, trembles, drifts, sleeps, overloads, drops out. */
export interface SimulatedScale {
  /** What lies on it, g. */
  readonly load: number
  /** What it shows before rounding, g. */
  readonly shown: number
  /** Slow drift of its zero, g. */
  readonly drift: number
  readonly tare: number
  /** Frames since anything changed. */
  readonly idle: number
  readonly asleep: boolean
  readonly unplugged: boolean
}

export interface SimulatedScaleKind {
  readonly resolution: number
  readonly capacity: number
}

export const SWITCHED_ON: SimulatedScale = {
  load: 0,
  shown: 0,
  drift: 0,
  tare: 0,
  idle: 0,
  asleep: false,
  unplugged: false,
}

/** How much of the way to the load it goes with each frame. */
const SETTLE = 0.45
/** Frames of rest after which it sleeps. At four a second two minutes. */
const SLEEP_AFTER = 480
const NOISE_STEPS = 0.28
const DRIFT_STEPS = 0.01

/** Something is laid on, lifted off, tared; the cable is pulled. Whatever it is wakes it. */
export function handled(
  scale: SimulatedScale,
  act: Partial<Pick<SimulatedScale, 'load' | 'tare' | 'unplugged' | 'asleep'>>,
): SimulatedScale {
  return { ...scale, idle: 0, asleep: false, ...act }
}

/** A moment later, with the line it says then; null = nothing comes. `noise` is between -1 and 1. */
export function nextFrame(
  scale: SimulatedScale,
  { resolution, capacity }: SimulatedScaleKind,
  noise: number,
): { scale: SimulatedScale; line: string | null } {
  if (scale.unplugged) return { scale, line: null }
  if (scale.asleep || scale.idle > SLEEP_AFTER) return { scale: { ...scale, asleep: true }, line: 'asleep' }
  const drift = scale.drift + noise * DRIFT_STEPS * resolution
  const shown = scale.shown + (scale.load - scale.shown) * SETTLE
  const next = { ...scale, drift, shown, idle: scale.idle + 1 }
  if (scale.load > capacity) return { scale: next, line: 'overload' }
  const near = Math.abs(scale.load - shown) < resolution / 2
  const settled = near ? { ...next, shown: scale.load } : next
  const gross = settled.shown + drift + noise * NOISE_STEPS * resolution
  const value = Math.round((gross - scale.tare) / resolution) * resolution
  const digits = Math.max(0, Math.round(-Math.log10(resolution)))
  const words = `${near ? 'steady' : 'moving'} ${scale.tare === 0 ? 'gross' : 'net'}`
  return { scale: settled, line: `${words} ${value < 0 ? '-' : '+'}${Math.abs(value).toFixed(digits)} g` }
}
