import { shallowRef, type ShallowRef } from 'vue'
import { handled, nextFrame, SWITCHED_ON, type SimulatedScale } from '#core/scale/simulated'
import type { ScalePort } from './scale-port'

/** Frames come four times a second. */
const FRAME_MS = 250
const KIND = { resolution: 0.1, capacity: 500 }

/** The scale that ships with the app: for trying it all out without one. */
export class SimulatedPort implements ScalePort {
  readonly scale: ShallowRef<SimulatedScale> = shallowRef(SWITCHED_ON)
  readonly capacity = KIND.capacity
  #timer: ReturnType<typeof setInterval> | null = null

  open(heard: (piece: string) => void): Promise<void> {
    this.scale.value = SWITCHED_ON
    this.#timer = setInterval(() => {
      const next = nextFrame(this.scale.value, KIND, Math.random() * 2 - 1)
      this.scale.value = next.scale
      if (next.line !== null) heard(`${next.line}\r\n`)
    }, FRAME_MS)
    return Promise.resolve()
  }

  send(line: string): Promise<void> {
    if (line === 'untare') this.handle({ tare: 0 })
    return Promise.resolve()
  }

  close(): Promise<void> {
    if (this.#timer !== null) clearInterval(this.#timer)
    this.#timer = null
    return Promise.resolve()
  }

  /** Something is laid on, lifted off, tared; the cable is pulled. */
  handle(act: Parameters<typeof handled>[1]): void {
    this.scale.value = handled(this.scale.value, act)
  }
}
