import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { FrameStream } from '#core/scale/frames'
import { ScaleReader, type ScaleReading } from '#core/scale/reader'
import type { ScalePort } from './scale-port'
import { serialDoor, SerialScalePort } from './serial-port'
import { SimulatedPort } from './simulated-port'

/** A scale that says nothing for so long has dropped out. */
const SILENCE_MS = 2500

/** The scale at the dressing table: which one is connected, and what it shows. */
export const useScale = defineStore('scale', () => {
  const kind = ref<'none' | 'simulated' | 'serial'>('none')
  const reading = shallowRef<ScaleReading>({ code: 'waiting' })
  const trouble = ref('')
  const simulated = shallowRef<SimulatedPort | null>(null)
  let port: ScalePort | null = null
  let silence: ReturnType<typeof setTimeout> | null = null
  const reader = new ScaleReader(() => void port?.send('untare'))
  const keepers = new Set<(kept: { grams: number; resolution: number }) => void>()

  async function connect(to: 'simulated' | 'serial'): Promise<void> {
    await disconnect()
    trouble.value = ''
    const stream = new FrameStream()
    const door = serialDoor()
    if (to === 'serial' && door === null) {
      trouble.value = 'This browser has no way to a serial port. Type the weight instead.'
      return
    }
    const next = to === 'simulated' ? new SimulatedPort() : new SerialScalePort(() => door!.requestPort()) // eslint-disable-line @typescript-eslint/no-non-null-assertion -- it was looked for above
    try {
      await next.open(
        (piece) => stream.push(piece).forEach((frame) => hear(reader.take(frame))),
        () => hear(reader.silence()),
      )
    } catch {
      // She closed the browser's own list, or something else holds the port.
      trouble.value = 'No scale was connected. Choose it once more, or type the weight.'
      return
    }
    port = next
    simulated.value = next instanceof SimulatedPort ? next : null
    kind.value = to
    reader.reset()
    reading.value = { code: 'waiting' }
    awaitSign()
  }

  async function disconnect(): Promise<void> {
    if (silence !== null) clearTimeout(silence)
    await port?.close()
    port = null
    simulated.value = null
    kind.value = 'none'
    reading.value = { code: 'waiting' }
  }

  function hear(next: ScaleReading): void {
    // What was kept stays to be read until the next thing lies on it.
    if (!(next.code === 'empty' && reading.value.code === 'kept')) reading.value = next
    if (next.code === 'kept') for (const keep of keepers) keep(next)
    if (next.code !== 'silent') awaitSign()
  }

  function awaitSign(): void {
    if (silence !== null) clearTimeout(silence)
    silence = setTimeout(() => hear(reader.silence()), SILENCE_MS)
  }

  /** For the next thing: what was kept belongs to the last one. */
  function forNext(): void {
    reader.reset()
    reading.value = { code: 'waiting' }
  }

  /** Hears of every weight that is kept; returns how to stop. */
  function onKept(keep: (kept: { grams: number; resolution: number }) => void): () => void {
    keepers.add(keep)
    return () => keepers.delete(keep)
  }

  return {
    kind,
    reading,
    trouble,
    simulated,
    hasSerial: computed(() => serialDoor() !== null),
    connect,
    disconnect,
    forNext,
    onKept,
  }
})
